<?php

declare(strict_types=1);

namespace App\Accounts;

/** Who may do what: the lead all, the keeper the work on kits, the member reads, the auditor reads and exports. */
enum Role: string
{
    case Lead = 'lead';
    case Keeper = 'keeper';
    case Member = 'member';
    case Auditor = 'auditor';

    public function plans(): bool
    {
        return $this === self::Lead;
    }

    public function keeps(): bool
    {
        return $this === self::Lead || $this === self::Keeper;
    }

    public function exports(): bool
    {
        return $this !== self::Member;
    }
}
