<?php

declare(strict_types=1);

namespace App\Ledger\Parts;

use App\Ledger\Part;

/** With whom pieces are lent or borrowed, and until when. */
final readonly class LoanTerms implements PartRow
{
    /** @param  string  $partner  a team or organisation */
    public function __construct(public string $loanId, public string $partner, public string $dueOn)
    {
    }

    public function part(): Part
    {
        return Part::LoanTerms;
    }

    public function columns(): array
    {
        return ['loan_id' => $this->loanId, 'partner' => $this->partner, 'due_on' => $this->dueOn];
    }
}
