<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Accounts\Models\User;
use App\Lists\LineContent;
use App\Lists\ListContent;
use App\Lists\Models\KitList;
use App\Lists\UnsoundList;
use App\Lists\WriteList;
use Illuminate\Validation\ValidationException;

/** Lists, each edition by itself. What is brought in is unconfirmed; a confirmed edition is never changed by a file. */
final class ListRecords implements Records
{
    /** @var array<string, KitList> by code and edition */
    private array $models = [];

    public function __construct(private readonly WriteList $write, private readonly UnsoundList $unsound)
    {
    }

    public function all(): array
    {
        return array_values(KitList::query()->with(['lines.entries.item', 'lines.entries.limits', 'exclusions'])
            ->orderBy('code')->orderBy('edition')->get()->map($this->document(...))->all());
    }

    public function code(array $record): string
    {
        return (is_string($record['code'] ?? null) ? $record['code'] : '').' '.(is_string($record['edition'] ?? null) ? $record['edition'] : '');
    }

    public function begin(array $records): void
    {
        $this->models = [];
        foreach (KitList::query()->with(['lines.entries.item', 'lines.entries.limits', 'exclusions'])->get() as $list) {
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
            $record['lines'] = array_map(
                static fn (mixed $line): array => [
                    ...['rank' => 'required', 'reason' => null, 'anyone_may_use' => false], ...(array) $line,
                ],
                $record['lines'],
            );
        }

        return $record;
    }

    public function problems(array $record, ?array $known): array
    {
        if ($known !== null && $known['confirmed'] === true && Difference::between($known, [...$record, 'confirmed' => true]) !== []) {
            return ['This edition is confirmed and never changes. Give the file\'s list another edition.'];
        }
        try {
            $this->unsound->refuse(self::content($record), '');
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
                $this->write->create(
                    [
                        'code' => $record['code'], 'edition' => $record['edition'], 'origin' => $record['origin'],
                        'kind' => $record['kind'], 'supersedes_id' => $before?->id,
                    ],
                    self::content($record),
                );
            } elseif ($list->confirmed_at === null) {
                $this->write->edit($list, $list->revision, self::content($record));
            }
            $progress($done + 1);
        }
    }

    /** @return array<string, mixed> */
    private function document(KitList $list): array
    {
        $content = ListContent::of($list);

        return [
            'code' => $list->code, 'title' => $list->title, 'size' => $list->size, 'edition' => $list->edition,
            'basis' => $list->basis, 'origin' => $list->origin, 'kind' => $list->kind,
            'confirmed' => $list->confirmed_at !== null, 'excludes' => $content->excludes,
            'made_for' => $content->madeFor,
            'lines' => array_map(static fn (LineContent $line): array => [...$line->document(), 'per' => $line->per], $content->lines),
        ];
    }

    /** @param  array<string, mixed>  $record */
    private static function content(array $record): ListContent
    {
        /**
         * @var array{
         *     title: string, size: string|null, basis: string, excludes: list<string>, lines: list<array<string, mixed>>,
         *     made_for?: array{people: int, days: int}|null,
         * } $record
         */
        return new ListContent(
            $record['title'],
            $record['size'],
            $record['basis'],
            $record['excludes'],
            array_map(LineContent::ofDocument(...), $record['lines']),
            $record['made_for'] ?? null,
        );
    }
}
