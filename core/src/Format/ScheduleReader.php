<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Due\Interval;
use Sarcina\Core\Due\Schedule;
use Sarcina\Core\Due\Seal;

/** Reads a `sarcina.schedule/1` document (rules.md, due). */
final class ScheduleReader
{
    public const FORMAT = 'sarcina.schedule/1';

    private const OPTIONAL = [
        'every', 'seasons', 'before_events', 'events', 'after_use', 'used_on', 'seal', 'seal_broken_on',
        'last_full', 'last_quick', 'earliest_expiry', 'margin_days', 'grace_days',
    ];

    private const MOST_DAYS = 100_000;

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): Schedule
    {
        $in = new Reader;
        $root = $in->object($document, '', ['format', 'as_of'], self::OPTIONAL) ?? [];
        if (array_key_exists('format', $root)) {
            $in->format($root['format'], '', self::FORMAT);
        }
        $asOf = array_key_exists('as_of', $root) ? $in->day($root['as_of'], '/as_of') : null;
        $seasons = [];
        foreach ($in->list($root['seasons'] ?? [], '/seasons') as $index => $season) {
            $day = $in->seasonDay($season, "/seasons/{$index}");
            if ($day !== null) {
                $seasons[] = $day;
            }
        }
        $events = [];
        foreach ($in->list($root['events'] ?? [], '/events') as $index => $event) {
            $events[] = $in->day($event, "/events/{$index}");
        }
        $last = [];
        foreach (['last_full', 'last_quick'] as $key) {
            $last[$key] = $in->dayOrNull($root[$key] ?? null, "/{$key}");
            if ($asOf !== null && $last[$key]?->isAfter($asOf) === true) {
                $in->refuse("/{$key}", 'A check that was made cannot lie after as_of.');
            }
        }
        $every = isset($root['every']) ? self::interval($in, $root['every']) : null;
        $beforeEvents = $in->flag(self::given($root, 'before_events', false), '/before_events');
        $afterUse = $in->flag(self::given($root, 'after_use', true), '/after_use');
        $usedOn = $in->dayOrNull($root['used_on'] ?? null, '/used_on');
        $seal = $in->choice(self::given($root, 'seal', 'none'), '/seal', Seal::class, Seal::None);
        $sealBrokenOn = $in->dayOrNull($root['seal_broken_on'] ?? null, '/seal_broken_on');
        $earliestExpiry = $in->printedDateOrNull($root['earliest_expiry'] ?? null, '/earliest_expiry');
        $marginDays = $in->wholeNumber(self::given($root, 'margin_days', 0), '/margin_days', 0, self::MOST_DAYS);
        $graceDays = $in->wholeNumber(self::given($root, 'grace_days', 0), '/grace_days', 0, self::MOST_DAYS);
        $in->finish();
        \assert($asOf !== null);

        return new Schedule(
            $asOf, $every, $seasons, $beforeEvents, $events, $afterUse, $usedOn, $seal, $sealBrokenOn,
            $last['last_full'], $last['last_quick'], $earliestExpiry, $marginDays, $graceDays,
        );
    }

    /** @param  array<string, mixed>  $root */
    private static function given(array $root, string $key, mixed $default): mixed
    {
        return array_key_exists($key, $root) ? $root[$key] : $default;
    }

    private static function interval(Reader $in, mixed $value): ?Interval
    {
        $every = $in->object($value, '/every', [], ['months', 'weeks', 'days']);
        if ($every === null) {
            return null;
        }
        if (count($every) !== 1) {
            $in->refuse('/every', 'An interval has one key: months, weeks or days.');

            return null;
        }
        $key = array_key_first($every);
        $count = $in->wholeNumber($every[$key], Json::pointer('/every', $key), 1, self::MOST_DAYS);

        return match ($key) {
            'months' => Interval::months($count),
            'weeks' => Interval::weeks($count),
            default => Interval::days($count),
        };
    }
}
