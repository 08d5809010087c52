<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\Assessment;
use App\Ledger\Digests;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Parts\Attested;
use App\Ledger\Record;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\Day;

/** Signs an assessment with the plan that was chosen. It stays as it is from then on, and is asked for again after a year. */
final class SignAssessment
{
    public const REVIEW_MONTHS = 12;

    public function __construct(
        private readonly AnswerArea $areas,
        private readonly Record $record,
        private readonly Digests $digests,
        private readonly PlaceVehicles $vehicles,
    ) {
    }

    public function __invoke(Assessment $assessment, string $chosen, string $signed, User $by, CarbonInterface $at, string $day): Assessment
    {
        return Transaction::run(function () use ($assessment, $chosen, $signed, $by, $at, $day): Assessment {
            $this->areas->refuseSigned($assessment);
            if ($assessment->areas()->doesntExist()) {
                throw ValidationException::withMessages(['areas' => 'There is no area yet. Add at least one, and answer its questions.']);
            }
            ($this->vehicles)($assessment);
            $assessment->update([
                'chosen' => $chosen,
                'signed' => $signed,
                'signed_by_id' => $by->id,
                'signed_on' => $day,
                'review_on' => (string) Day::of($day)->plusMonths(self::REVIEW_MONTHS),
            ]);
            $this->record->write(
                Operation::now(Str::lower((string) Str::ulid()), OperationKind::SignAssessment, $by, $at, $day)
                    ->with(
                        [],
                        [new Attested('assessment', $assessment->id, $assessment->title, $this->digests->of('assessment', $assessment->id))],
                    )
                    ->saying($signed, null),
            );

            return $assessment;
        });
    }
}
