<?php

declare(strict_types=1);

namespace App\Judging;

use App\Ledger\Parts\CheckFinding;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;

/** An item that lies in a pocket and was put in without what is done to it before: an action is due, where the organisation asks for it. */
final readonly class NotStaged
{
    public const KIND = 'not_staged';

    public const VERDICT = Verdict::ReadyWithActions;

    /** @param  string  $task  "Unfold the gloves" */
    public function __construct(public string $item, public string $name, public string $pocket, public string $task)
    {
    }

    public function fact(): CheckFinding
    {
        return new CheckFinding(
            self::KIND, Severity::Fix->value, null, mb_substr($this->name, 0, 160), $this->item, null, null, null, $this->pocket, null, $this->task,
        );
    }

    public static function say(CheckFinding $fact): string
    {
        return "{$fact->subject} in {$fact->pocket} is not staged: {$fact->detail}";
    }
}
