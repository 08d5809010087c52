<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** A document as it was when somebody signed or confirmed it. */
final readonly class Attested implements PartRow
{
    /** @param  string  $digest  SHA-256 of all that it says (App\Ledger\Digests) */
    public function __construct(
        public string $subject,
        public string $subjectId,
        public string $title,
        public string $digest,
    ) {
    }

    public function part(): Part
    {
        return Part::Attestations;
    }

    public function columns(): array
    {
        return [
            'subject' => $this->subject,
            'subject_id' => $this->subjectId,
            'title' => $this->title,
            'digest' => $this->digest,
        ];
    }
}
