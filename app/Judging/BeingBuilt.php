<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;

/**
 * Somebody is packing the kit anew, and everything may be out of it. Whatever is on record, it is not ready until that is recorded or
 * ended.
 */
final readonly class BeingBuilt
{
    public const KIND = 'being_built';

    public const VERDICT = Verdict::NotReady;

    /**
     * @param  Day  $since  of the site
     * @param  string|null  $module  the code of the module that it is, where it is not the kit itself
     */
    public function __construct(
        public string $by,
        public Day $since,
        public ?string $module = null,
    ) {
    }

    public function fact(): CheckFinding
    {
        return new CheckFinding(
            self::KIND, Severity::Stop->value, null, $this->by, null, null, null, (string) $this->since, null, null, $this->module,
        );
    }

    public static function say(CheckFinding $fact): string
    {
        $what = $fact->detail === null ? 'This kit' : "The module {$fact->detail}";
        $since = Words::date((string) $fact->goodUntil);

        return "{$what} is being packed anew by {$fact->subject}, since {$since}: pieces may be out of it";
    }
}
