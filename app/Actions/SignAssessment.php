<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Assessment;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Calendar\Day;

/** Signs an assessment with the plan that was chosen. It stays as it is from then on, and is asked for again after a year. */
final class SignAssessment
{
    public const REVIEW_MONTHS = 12;

    public function __construct(private readonly AnswerArea $areas)
    {
    }

    public function __invoke(Assessment $assessment, string $chosen, string $signed, User $by, string $day): Assessment
    {
        return DB::transaction(function () use ($assessment, $chosen, $signed, $by, $day): Assessment {
            $this->areas->refuseSigned($assessment);
            if ($assessment->areas()->doesntExist()) {
                throw ValidationException::withMessages(['areas' => 'There is no area yet. Add at least one, and answer its questions.']);
            }
            $assessment->update(['chosen' => $chosen, 'signed' => $signed, 'signed_by_id' => $by->id, 'signed_on' => $day, 'review_on' => (string) Day::of($day)->plusMonths(self::REVIEW_MONTHS)]);

            return $assessment;
        });
    }
}
