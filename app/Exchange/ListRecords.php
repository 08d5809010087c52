<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Lists\Models\KitList;
use App\Lists\WriteList;
use Illuminate\Validation\ValidationException;

/** Lists, each edition by itself. What is brought in is unconfirmed; a confirmed edition is never changed by a file. */
final class ListRecords implements Records
{
    /** @var array<string, KitList> by code and edition */
    private array $models = [];

    public function __construct(private readonly WriteList $write)
    {
    }

    public function all(): array
    {
        return array_values(KitList::query()->with(['lines.entries.item', 'lines.entries.minima', 'exclusions'])->orderBy('code')->orderBy('edition')->get()->map($this->document(...))->all());
    }

    public function headings(): array
    {
        return ['list', 'title', 'size', 'edition', 'basis', 'origin', 'kind', 'confirmed', 'excludes', 'line', 'need', 'rank', 'amount', 'accepts', 'reason'];
    }

    public function key(): string
    {
        return 'list';
    }

    public function rows(array $record): array
    {
        /** @var array{code: string, title: string, size: string|null, edition: string, basis: string, origin: string, kind: string, confirmed: bool, excludes: list<string>, lines: list<array{id: string, need: string, rank: string, accepts: list<array{item?: string, class?: string, min?: array<string, string>}>, reason: string|null}>} $record */
        $about = [$record['code'], $record['title'], (string) $record['size'], $record['edition'], $record['basis'], $record['origin'], $record['kind'], $record['confirmed'] ? 'yes' : 'no', implode('; ', $record['excludes'])];
        $rows = array_map(static fn (array $line): array => [...$about, $line['id'], $line['need'], $line['rank'], Cells::amount($line), Cells::accepts($line['accepts']), (string) $line['reason']], $record['lines']);

        return $rows === [] ? [[...$about, '', '', '', '', '', '']] : $rows;
    }

    public function fromRows(array $rows): array
    {
        $first = $rows[0];

        return [
            'code' => $first['list'], 'title' => $first['title'], 'size' => $first['size'] === '' ? null : $first['size'], 'edition' => $first['edition'], 'basis' => $first['basis'],
            'origin' => $first['origin'] === '' ? 'house' : $first['origin'], 'kind' => $first['kind'] === '' ? 'kit' : $first['kind'], 'confirmed' => Cells::flag($first['confirmed']) ?? $first['confirmed'], 'excludes' => Cells::split($first['excludes']),
            'lines' => array_values(array_map(static fn (array $row): array => [
                'id' => $row['line'], 'need' => $row['need'], 'rank' => $row['rank'] === '' ? 'required' : $row['rank'], ...Cells::readAmount($row['amount']), 'accepts' => Cells::readAccepts($row['accepts']), 'reason' => $row['reason'] === '' ? null : $row['reason'],
            ], array_filter($rows, static fn (array $row): bool => $row['line'].$row['need'] !== ''))),
        ];
    }

    public function code(array $record): string
    {
        return (is_string($record['code'] ?? null) ? $record['code'] : '').' '.(is_string($record['edition'] ?? null) ? $record['edition'] : '');
    }

    public function begin(array $records): void
    {
        $this->models = [];
        foreach (KitList::query()->with(['lines.entries.item', 'lines.entries.minima', 'exclusions'])->get() as $list) {
            $this->models["{$list->code} {$list->edition}"] = $list;
        }
    }

    public function known(array $record): ?array
    {
        $list = $this->models[$this->code($record)] ?? null;

        return $list === null ? null : $this->document($list);
    }

    public function whole(array $record): array
    {
        $record += ['size' => null, 'origin' => 'house', 'kind' => 'kit', 'confirmed' => false];
        if (is_array($record['lines'] ?? null)) {
            $record['lines'] = array_map(static fn (mixed $line): array => [...['rank' => 'required', 'reason' => null], ...(array) $line], $record['lines']);
        }

        return $record;
    }

    public function problems(array $record, ?array $known): array
    {
        if ($known !== null && $known['confirmed'] === true && Difference::between($known, [...$record, 'confirmed' => true]) !== []) {
            return ['This edition is confirmed and never changes. Give the file\'s list another edition.'];
        }
        try {
            $this->write->refuseUnsound(self::content($record), '');
        } catch (ValidationException $refused) {
            $problems = [];
            foreach ($refused->errors() as $field => $messages) {
                $problems[] = "{$field}: ".(is_array($messages) && is_string($messages[0] ?? null) ? $messages[0] : '');
            }

            return $problems;
        }

        return [];
    }

    public function take(array $changes, User $by, callable $progress): void
    {
        foreach ($changes as $done => $change) {
            /** @var array{code: string, edition: string, origin: string, kind: string} $record */
            $record = $change['record'];
            $list = $this->models[$this->code($record)] ?? null;
            if ($list === null) {
                $before = KitList::query()->where('code', $record['code'])->orderBy('edition', 'desc')->first();
                $this->write->create(['code' => $record['code'], 'edition' => $record['edition'], 'origin' => $record['origin'], 'kind' => $record['kind'], 'supersedes_id' => $before?->id], self::content($record));
            } elseif ($list->confirmed_at === null) {
                $this->write->edit($list, $list->revision, self::content($record));
            }
            $progress($done + 1);
        }
    }

    /** @return array<string, mixed> */
    private function document(KitList $list): array
    {
        $content = WriteList::content($list);

        return [
            'code' => $list->code, 'title' => $list->title, 'size' => $list->size, 'edition' => $list->edition, 'basis' => $list->basis, 'origin' => $list->origin, 'kind' => $list->kind, 'confirmed' => $list->confirmed_at !== null,
            'excludes' => $content['excludes'],
            'lines' => array_map(static fn (array $line): array => [
                'id' => $line['code'], 'need' => $line['need'], 'rank' => $line['rank'], ...($line['total'] === null ? ['quantity' => $line['quantity']] : ['total' => $line['total']]),
                'accepts' => array_map(static fn (array $entry): array => isset($entry['item']) ? $entry : ['class' => $entry['class'] ?? '', ...(($entry['min'] ?? []) === [] ? [] : ['min' => $entry['min']])], $line['accepts']),
                'reason' => $line['reason'],
            ], $content['lines']),
        ];
    }

    /**
     * @param  array<string, mixed>  $record
     * @return array{title: string, size: string|null, basis: string, excludes: list<string>, lines: list<array{code: string, need: string, rank: string, quantity: int|null, total: array<string, string>|null, accepts: list<array{item?: string, class?: string, min?: array<string, string>}>, reason: string|null}>}
     */
    private static function content(array $record): array
    {
        /** @var array{title: string, size: string|null, basis: string, excludes: list<string>, lines: list<array{id: string, need: string, rank: string, quantity?: int, total?: array<string, string>, accepts: list<array{item?: string, class?: string, min?: array<string, string>}>, reason: string|null}>} $record */
        return ['title' => $record['title'], 'size' => $record['size'], 'basis' => $record['basis'], 'excludes' => $record['excludes'], 'lines' => array_map(static fn (array $line): array => [
            'code' => $line['id'], 'need' => $line['need'], 'rank' => $line['rank'], 'quantity' => $line['quantity'] ?? null, 'total' => $line['total'] ?? null, 'accepts' => $line['accepts'], 'reason' => $line['reason'],
        ], $record['lines'])];
    }
}
