<?php

declare(strict_types=1);

namespace App\Ledger;

/** The tables whose rows belong to an operation, in the order in which its hash covers them. */
enum Part: string
{
    case Kits = 'operation_kits';
    case Stores = 'operation_stores';
    case Movements = 'movements';
    case Check = 'checks';
    case Rows = 'check_rows';
    case Lines = 'check_lines';
    case Findings = 'check_findings';
    case Seals = 'seals';
    case Changes = 'kit_changes';
    case Attestations = 'attestations';
    case Receipts = 'receipts';
    case Preparations = 'preparations';
    case Weighings = 'weighings';
    case LoanTerms = 'loan_terms';

    /** The columns of the operation itself that its hash covers, in order. */
    public const OPERATION = [
        'number', 'epoch', 'id', 'kind', 'user_id', 'user_name', 'witness_id', 'base_epoch', 'base_number',
        'begun_at', 'done_at', 'received_at', 'clock_checked_at', 'day', 'signed', 'note', 'key_id',
    ];

    /** Columns of the operation that came later: covered by their name and value where they have one. */
    public const LATER = ['signed_because'];

    private const LOT = ['lot_id', 'item_code', 'item_name', 'lot_number', 'expires'];

    /** @return list<string> all its columns but the operation's number, in the order in which they are covered */
    public function columns(): array
    {
        return ['position', ...match ($this) {
            self::Kits => ['kit_id', 'code', 'name', 'place'],
            self::Stores => ['store_id', 'name'],
            self::Movements => [
                ...self::LOT, 'quantity', 'from_kit_id', 'from_pocket_id', 'from_pocket', 'from_store_id', 'from_condition',
                'to_kit_id', 'to_pocket_id', 'to_pocket', 'to_store_id', 'to_condition', 'reason',
            ],
            self::Check => [
                'kit_id', 'standing', 'design', 'list_title', 'list_edition', 'list_confirmed', 'expiry', 'scope', 'next_check', 'margin_days',
                'verdict', 'mass_g', 'max_mass_g', 'seal_found',
            ],
            self::Rows => ['kit_id', 'pocket_id', 'pocket', ...self::LOT, 'condition', 'recorded', 'counted', 'became', 'in_doubt'],
            self::Lines => ['code', 'need', 'pocket', 'rank', 'required', 'effective', 'reserve', 'short'],
            self::Findings => [
                'kind', 'severity', 'line', 'subject', 'item_code', 'lot_number', 'expires', 'good_until', 'pocket', 'quantity', 'detail',
            ],
            self::Seals => ['kit_id', 'event', 'seal_number', 'reason', 'set_by'],
            self::Changes => ['kit_id', 'field', 'was', 'becomes', 'was_name', 'becomes_name'],
            self::Receipts => ['lot_id', 'packs', 'price', 'currency', 'supplier', 'delivery_note'],
            self::Preparations => ['kit_id', 'pocket_id', 'pocket', 'item_code', 'item_name', 'task', 'is_done'],
            self::Weighings => ['kit_id', 'computed_g', 'weighed_g', 'because'],
            self::LoanTerms => ['loan_id', 'partner', 'due_on'],
            self::Attestations => ['subject', 'subject_id', 'title', 'digest'],
        }];
    }

    /** Came later: covered only where there is something of it, so that what was recorded before reads as it did. */
    public function isLater(): bool
    {
        return in_array($this, [self::Receipts, self::Preparations, self::Weighings, self::LoanTerms], true);
    }

    /** @return list<string> the tables of the record that were made with it: their triggers came in one migration */
    public static function keptTables(): array
    {
        return ['operations', ...self::tables(false)];
    }

    /** @return list<string> every table of the record: written once and never changed */
    public static function allKeptTables(): array
    {
        return [...self::keptTables(), ...self::tables(true)];
    }

    /** @return list<string> */
    private static function tables(bool $areLater): array
    {
        $parts = array_filter(self::cases(), static fn (self $part): bool => $part->isLater() === $areLater);

        return array_values(array_map(static fn (self $part): string => $part->value, $parts));
    }
}
