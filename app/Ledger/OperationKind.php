<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Ledger\Kinds\Kind;

/** What somebody did. Each has a small class that says what belongs to it. */
enum OperationKind: string
{
    case FullCheck = 'full_check';
    case QuickCheck = 'quick_check';
    case Restock = 'restock';
    case Use = 'use';
    case Equip = 'equip';
    case Move = 'move';
    case Change = 'change';
    case ModuleIn = 'module_in';
    case ModuleOut = 'module_out';
    case Retire = 'retire';
    case Receive = 'receive';
    case Transfer = 'transfer';
    case Dispose = 'dispose';
    case Count = 'count';
    case SealSet = 'seal_set';
    case SealBroken = 'seal_broken';
    case SignAssessment = 'sign_assessment';
    case ConfirmEdition = 'confirm_edition';
    case Restore = 'restore';
    case Build = 'build';
    case HandBack = 'hand_back';
    case SetApart = 'set_apart';
    case Release = 'release';
    case Lend = 'lend';
    case Borrow = 'borrow';
    case Repack = 'repack';
    case Prepare = 'prepare';
    case Settle = 'settle';
    case PutBack = 'put_back';
    case SealRead = 'seal_read';

    public function kind(): Kind
    {
        return match ($this) {
            self::FullCheck => new Kinds\FullCheck,
            self::QuickCheck => new Kinds\QuickCheck,
            self::Restock => new Kinds\Restock,
            self::Use => new Kinds\UseOfKit,
            self::Equip => new Kinds\Equip,
            self::Move => new Kinds\Move,
            self::Change => new Kinds\Change,
            self::ModuleIn => new Kinds\ModuleIn,
            self::ModuleOut => new Kinds\ModuleOut,
            self::Retire => new Kinds\Retire,
            self::Receive => new Kinds\Receive,
            self::Transfer => new Kinds\Transfer,
            self::Dispose => new Kinds\Dispose,
            self::Count => new Kinds\Count,
            self::SealSet => new Kinds\SealSet,
            self::SealBroken => new Kinds\SealBroken,
            self::SignAssessment => new Kinds\SignAssessment,
            self::ConfirmEdition => new Kinds\ConfirmEdition,
            self::Restore => new Kinds\Restore,
            self::Build => new Kinds\Build,
            self::HandBack => new Kinds\HandBack,
            self::SetApart => new Kinds\SetApart,
            self::Release => new Kinds\Release,
            self::Lend => new Kinds\Lend,
            self::Borrow => new Kinds\Borrow,
            self::Repack => new Kinds\Repack,
            self::Prepare => new Kinds\Prepare,
            self::Settle => new Kinds\Settle,
            self::PutBack => new Kinds\PutBack,
            self::SealRead => new Kinds\SealRead,
        };
    }

    public function isCheck(): bool
    {
        return $this === self::FullCheck || $this === self::QuickCheck;
    }
}
