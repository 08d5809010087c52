<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\SeasonDay;
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
        $root = Reader::of($document)->object(['format', 'as_of'], self::OPTIONAL);
        $root->field('format')->format(self::FORMAT);
        $asOf = $root->field('as_of')->day();
        $seasons = array_values(
            array_filter(array_map(static fn (Reader $season): ?SeasonDay => $season->seasonDay(), $root->field('seasons')->entries())),
        );
        $events = array_map(static fn (Reader $event): Day => $event->day(), $root->field('events')->entries());
        $last = static function (string $key) use ($root, $asOf): ?Day {
            $day = $root->field($key)->dayOrNull();
            if ($root->field('as_of')->isGiven() && $day?->isAfter($asOf) === true) {
                $root->field($key)->refuse('A check that was made cannot lie after as_of.');
            }

            return $day;
        };
        $schedule = new Schedule(
            $asOf,
            $root->field('every')->isNull() ? null : self::interval($root->field('every')),
            $seasons,
            $root->field('before_events')->flag(false),
            $events,
            $root->field('after_use')->flag(true),
            $root->field('used_on')->dayOrNull(),
            $root->field('seal')->choice(Seal::None),
            $root->field('seal_broken_on')->dayOrNull(),
            $last('last_full'),
            $last('last_quick'),
            $root->field('earliest_expiry')->printedDateOrNull(),
            $root->field('margin_days')->wholeNumber(0, self::MOST_DAYS),
            $root->field('grace_days')->wholeNumber(0, self::MOST_DAYS),
        );
        $root->finish();

        return $schedule;
    }

    private static function interval(Reader $every): ?Interval
    {
        if (! $every->object([], ['months', 'weeks', 'days'])->isObject()) {
            return null;
        }
        if (count($every->keys()) !== 1) {
            $every->refuse('An interval has one key: months, weeks or days.');

            return null;
        }
        $key = $every->keys()[0];
        $count = $every->field($key)->wholeNumber(1, self::MOST_DAYS);

        return match ($key) {
            'months' => Interval::months($count),
            'weeks' => Interval::weeks($count),
            default => Interval::days($count),
        };
    }
}
