<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Provision\Area;
use Sarcina\Core\Provision\Hazard;
use Sarcina\Core\Provision\Provision;
use Sarcina\Core\Provision\Risk;
use Sarcina\Core\Provision\Scheme;

/** Reads a `sarcina.assessment/1` document (rules.md, provision). */
final class AssessmentReader
{
    public const FORMAT = 'sarcina.assessment/1';

    /** More than live on earth; it keeps sums within an integer. */
    private const MOST_PEOPLE = 10_000_000_000;

    /** @throws InvalidDocument with every error that was found and its path */
    public static function read(mixed $document): Provision
    {
        $root = Reader::of($document)->object(['format', 'scheme', 'areas']);
        $root->field('format')->format(self::FORMAT);
        $scheme = $root->field('scheme')->choice(Scheme::Headcount);
        $areas = [];
        $seen = [];
        foreach ($root->field('areas')->entries() as $area) {
            $areas[] = self::area($area, $seen);
        }
        $root->finish();

        return Provision::of($scheme, $areas);
    }

    /** @param  array<string, string>  $seen */
    private static function area(Reader $area, array &$seen): Area
    {
        $area->object(['name', 'people', 'hazard'], ['points', 'lone_workers', 'vehicles', 'running_water', 'risks']);

        return new Area(
            $area->field('name')->textOnce($seen),
            $area->field('people')->wholeNumber(0, self::MOST_PEOPLE),
            $area->field('hazard')->choice(Hazard::Low),
            $area->field('points')->wholeNumber(1, self::MOST_PEOPLE),
            $area->field('lone_workers')->wholeNumber(0, self::MOST_PEOPLE),
            $area->field('vehicles')->wholeNumber(0, self::MOST_PEOPLE),
            $area->field('running_water')->flag(true),
            self::risks($area->field('risks')),
        );
    }

    /** @return list<Risk> */
    private static function risks(Reader $risks): array
    {
        $read = [];
        $seen = [];
        foreach ($risks->entries() as $entry) {
            $refused = $entry->refused();
            $risk = $entry->choice(Risk::Burn);
            if ($entry->refused() === $refused) {
                $entry->textOnce($seen);
                $read[] = $risk;
            }
        }

        return $read;
    }
}
