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
        $in = new Reader;
        $root = $in->object($document, '', ['format', 'scheme', 'areas']) ?? [];
        if (array_key_exists('format', $root)) {
            $in->format($root['format'], '', self::FORMAT);
        }
        $scheme = array_key_exists('scheme', $root) ? $in->choice($root['scheme'], '/scheme', Scheme::class, Scheme::Headcount) : Scheme::Headcount;
        $areas = [];
        $seen = [];
        foreach (array_key_exists('areas', $root) ? $in->list($root['areas'], '/areas') : [] as $index => $entry) {
            $areas[] = self::area($in, $entry, "/areas/{$index}", $seen);
        }
        $in->finish();

        return Provision::of($scheme, $areas);
    }

    /** @param  array<string, true>  $seen */
    private static function area(Reader $in, mixed $entry, string $path, array &$seen): Area
    {
        $area = $in->object($entry, $path, ['name', 'people', 'hazard'], ['points', 'lone_workers', 'vehicles', 'running_water', 'risks']) ?? [];
        $name = array_key_exists('name', $area) ? $in->text($area['name'], "{$path}/name") : '';
        $in->onlyOnce($name, "{$path}/name", $seen);
        $number = static fn (string $key, int $least): int => array_key_exists($key, $area) ? $in->wholeNumber($area[$key], "{$path}/{$key}", $least, self::MOST_PEOPLE) : $least;

        return new Area(
            $name,
            $number('people', 0),
            array_key_exists('hazard', $area) ? $in->choice($area['hazard'], "{$path}/hazard", Hazard::class, Hazard::Low) : Hazard::Low,
            $number('points', 1),
            $number('lone_workers', 0),
            $number('vehicles', 0),
            array_key_exists('running_water', $area) ? $in->flag($area['running_water'], "{$path}/running_water") : true,
            array_key_exists('risks', $area) ? self::risks($in, $area['risks'], "{$path}/risks") : [],
        );
    }

    /** @return list<Risk> */
    private static function risks(Reader $in, mixed $value, string $path): array
    {
        $risks = [];
        $seen = [];
        foreach ($in->list($value, $path) as $index => $entry) {
            $refused = $in->refused();
            $risk = $in->choice($entry, "{$path}/{$index}", Risk::class, Risk::Burn);
            if ($in->refused() === $refused) {
                $in->onlyOnce($risk->value, "{$path}/{$index}", $seen);
                $risks[] = $risk;
            }
        }

        return $risks;
    }
}
