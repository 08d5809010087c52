<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Ledger\Base;
use App\Ledger\WhenDone;
use Carbon\CarbonImmutable;

/** When something was begun and done by the device's clock, corrected, and how far the record went that its doer had seen. */
trait SaysWhen
{
    /** @return array<string, list<mixed>> */
    private function whenRules(): array
    {
        $sane = ['string', 'date', 'after:-400 days', 'before_or_equal:+10 minutes'];

        return [
            'begun_at' => ['bail', 'required', ...$sane],
            'done_at' => ['bail', 'nullable', ...$sane, 'after_or_equal:begun_at'],
            'clock_checked_at' => ['bail', 'nullable', ...$sane],
            'base' => ['bail', 'required', 'array:epoch,number'],
            'base.epoch' => ['required', 'integer:strict', 'min:1', 'max:4000000000'],
            'base.number' => ['required', 'integer:strict', 'min:0', 'max:9000000000000000'],
        ];
    }

    /** @return array<string, string> */
    private function whenMessages(): array
    {
        return [
            'begun_at.before_or_equal' => 'This begins in the future; set this device\'s clock.',
            'begun_at.after' => 'This begins more than a year ago; set this device\'s clock.',
            'begun_at.*' => 'Say when this was begun, as a date with a time.',
            'done_at.before_or_equal' => 'This was done in the future; set this device\'s clock.',
            'done_at.after_or_equal' => 'This was done before it was begun; set this device\'s clock.',
            'done_at.*' => 'Say when this was done, as a date with a time.',
            'clock_checked_at.*' => 'Say when the clock was last compared, as a date with a time.',
            'base.*' => 'Say how far the record went that you had seen: its epoch and the number of its last operation.',
        ];
    }

    private function whenDone(): WhenDone
    {
        $received = CarbonImmutable::now();
        $done = $this->instant('done_at') ?? $received;
        $begun = $this->instant('begun_at') ?? $done;

        // A request that does not say when it was done was done now, by the server's own clock.
        return new WhenDone(
            $begun->min($done),
            $done,
            $received,
            $this->instant('done_at') === null ? $received : $this->instant('clock_checked_at'),
        );
    }

    private function base(): Base
    {
        /** @var array{epoch: int, number: int} $base */
        $base = $this->validated('base');

        return new Base($base['epoch'], $base['number']);
    }

    private function instant(string $key): ?CarbonImmutable
    {
        $text = $this->validated($key);

        return is_string($text) ? CarbonImmutable::parse($text) : null;
    }
}
