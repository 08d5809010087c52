<?php

declare(strict_types=1);

namespace App\Accounts;

/** Who may do what: the lead all, the keeper the work on kits, the member reads, the auditor reads and exports, and changes nothing. */
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

    /** Says what they saw, such as that an area has changed. */
    public function reports(): bool
    {
        return $this !== self::Auditor;
    }

    /** Takes out files of all there is. */
    public function exports(): bool
    {
        return $this === self::Lead || $this === self::Auditor;
    }
}
