<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Sarcina\Core\Check\Assignment;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitReader;

/** Small kits made by chance, of every kind of item, row and line that the `check` rule knows. The same seed makes the same kits. */
final class RandomKits
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @param  array<string, mixed>  $document */
    public static function read(array $document): Assignment
    {
        return KitReader::read(Json::read(Json::write($document)));
    }

    /** @return array<string, mixed> a `sarcina.kit/1` */
    public function document(): array
    {
        $items = [
            [
                'code' => 'pad-small', 'class' => 'pad.sterile', 'dated' => true,
                'size' => ['width' => '5 cm', 'height' => '8 cm'], 'mass_g' => 5, 'reserve' => $this->chance(3),
            ],
            ['code' => 'pad-large', 'class' => 'pad.sterile', 'dated' => true, 'size' => ['width' => '10 cm', 'height' => '12 cm'], 'mass_g' => 11],
            ['code' => 'tape', 'class' => 'tape', 'size' => ['length' => '2.5 m'], 'mass_g' => 30, 'after_opening_days' => $this->pick([null, 1, 30, 200])],
            ['code' => 'practice', 'class' => 'training.pad'],
            ['code' => 'mask', 'class' => 'airway', 'dated' => $this->chance(2), 'scope' => $this->pick(['anyone', 'first_aider', 'trained'])],
            [
                'code' => 'gauze', 'class' => 'gauze',
                'needs' => [['any_of' => ['shears', 'knife'], 'per' => $this->pick(['kit', 'each']), 'quantity' => 1]],
            ],
            ['code' => 'shears', 'class' => 'tool'],
            ['code' => 'knife', 'class' => 'tool', 'superseded_by' => $this->pick([null, 'shears'])],
            ['code' => 'pills', 'class' => 'medicine.pain'],
        ];
        $lines = [
            $this->line('L1', [['item' => 'pad-small'], ['class' => 'pad', 'min' => ['width' => '10 cm']]]),
            $this->line('L2', [['item' => 'pad-large'], ['item' => 'pad-small']]),
            $this->line('L3', [['item' => 'mask'], ['item' => 'gauze']]),
            $this->line('L4', [['item' => 'gauze']]),
        ];
        if ($this->chance(2)) {
            $lines[] = [
                'id' => 'T', 'rank' => $this->pick(['critical', 'required', 'optional']),
                'total' => ['length' => $this->pick(['2 m', '5 m', '9.5 m', '4 yd'])],
                'accepts' => [['item' => 'tape'], ['class' => 'tape']],
            ];
        }
        $contents = [];
        for ($row = $this->random->getInt(0, 8); $row > 0; $row--) {
            $contents[] = [
                'pocket' => $this->pick([null, 'lid', 'main']),
                'item' => $this->pick(array_column($items, 'code')),
                'lot' => $this->pick([null, 'K1', 'K2']),
                'expires' => $this->pick([null, '2026-02', '2026-03-13', '2026-03-14', '2026-06', '2026-06-27', '2026-06-28', '2027-01']),
                'quantity' => $this->random->getInt(1, 4),
                'condition' => $condition = $this->chance(4) ? $this->pick(['opened', 'damaged', 'soiled', 'failed']) : 'good',
                'opened_on' => $condition === 'opened' ? $this->pick([null, '2025-12-01', '2026-03-14']) : null,
            ];
        }

        return [
            'format' => 'sarcina.kit/1',
            'as_of' => '2026-03-14',
            'kit' => [
                'code' => 'QH-03', 'scope' => $this->pick(['anyone', 'first_aider']), 'empty_mass_g' => 100,
                ...($this->chance(2) ? ['max_mass_g' => $this->random->getInt(90, 220)] : []),
            ],
            'policy' => ['expiry' => $this->pick(['strict', 'reserve']), 'next_check' => '2026-06-14', 'margin_days' => 14],
            'items' => $items,
            'list' => ['code' => 'small', 'excludes' => $this->chance(2) ? ['medicine'] : [], 'lines' => $lines],
            'contents' => $contents,
        ];
    }

    /** @return array<string, mixed> a `sarcina.kit/1` with every key that has a default */
    public function wholeDocument(): array
    {
        $document = $this->document();
        $document['policy'] += ['not_ready_after_days' => $this->pick([null, 0, 3, 30]), 'prepared' => $this->chance(2)];
        $document['checked'] = $this->chance(4) ? null : [
            'last_full' => $this->pick([null, '2026-01-31', '2026-03-14']),
            'due_on' => $this->pick([null, '2026-02-01', '2026-03-12', '2026-03-14', '2026-03-20', '2026-06-14']),
        ];
        $document['also_counted'] = [];
        for ($count = $this->pick([0, 0, 0, 1, 2]); $count > 0; $count--) {
            $document['also_counted'][] = ['contents' => $this->document()['contents']];
        }
        $document['doubts'] = $this->chance(10) ? [['kind' => 'repacking']] : [];
        if ($this->chance(10)) {
            $document['doubts'][] = ['kind' => 'seal'];
        }
        foreach ($document['items'] as ['code' => $item]) {
            if ($this->chance(9)) {
                $kind = $this->pick(['fault', 'reported_used', 'unprepared']);
                $document['doubts'][] = ['kind' => $kind, 'item' => $item] + ($kind === 'reported_used' ? ['quantity' => $this->random->getInt(1, 5)] : []);
            }
        }
        usort($document['doubts'], static fn (array $one, array $other): int => self::order($one) <=> self::order($other));

        return $document;
    }

    /** @param  array{kind: string}  $doubt */
    private static function order(array $doubt): int
    {
        return (int) array_search($doubt['kind'], ['repacking', 'seal', 'fault', 'reported_used', 'unprepared'], true);
    }

    /**
     * @template T
     *
     * @param  array<T>  $entries
     * @return list<T>
     */
    public function shuffled(array $entries): array
    {
        return array_values($this->random->shuffleArray($entries));
    }

    /**
     * @template T
     *
     * @param  array<T>  $of
     * @return T
     */
    public function pick(array $of): mixed
    {
        return $of[$this->random->pickArrayKeys($of, 1)[0]];
    }

    /** True once in so many times. */
    public function chance(int $of): bool
    {
        return $this->random->getInt(1, $of) === 1;
    }

    /**
     * @param  list<array<string, mixed>>  $accepts
     * @return array<string, mixed>
     */
    private function line(string $id, array $accepts): array
    {
        return [
            'id' => $id, 'rank' => $this->pick(['critical', 'required', 'optional']),
            'quantity' => $this->random->getInt(1, 4), 'accepts' => $accepts, 'anyone_may_use' => $this->chance(4),
        ];
    }
}
