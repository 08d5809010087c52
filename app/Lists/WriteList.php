<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Catalogue\Classes;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Support\Stale;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitDocument;
use Sarcina\Core\Format\KitReader;

/**
 * Makes lists and changes those that nobody has confirmed. A confirmed edition never changes; the database refuses it too.
 *
 * @phpstan-type Entry array{item?: string|null, class?: string|null, min?: array<string, string>}
 * @phpstan-type WrittenLine array{code: string, need: string, rank: string, quantity: int|null, total: array<string, string>|null, accepts: list<Entry>, reason: string|null}
 * @phpstan-type Content array{title: string, size: string|null, basis: string, excludes: list<string>, lines: list<WrittenLine>}
 */
final class WriteList
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Classes $classes,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
    ) {
    }

    /**
     * @param  array{code: string, edition: string, origin: string, kind: string, supersedes_id?: string|null, copied_from_id?: string|null}  $about
     * @param  Content  $content
     *
     * @throws ValidationException at each line that the core refuses
     */
    public function create(array $about, array $content, string $field = ''): KitList
    {
        $this->refuseUnsound($content, $field);

        return Transaction::run(function () use ($about, $content): KitList {
            $list = KitList::query()->create([...$about, 'title' => $content['title'], 'size' => $content['size'], 'basis' => $content['basis'], 'revision' => 1]);
            $this->write($list, $content);

            return $list;
        });
    }

    /**
     * @param  int  $base  the revision that the change was based on
     * @param  Content  $content
     *
     * @throws Stale where somebody else changed it in the meantime
     * @throws ValidationException where it is confirmed, or at each line that the core refuses
     */
    public function edit(KitList $list, int $base, array $content): KitList
    {
        $this->refuseUnsound($content, '');

        return Transaction::run(function () use ($list, $base, $content): KitList {
            $list = KitList::query()->where('id', $list->id)->lockForUpdate()->firstOrFail();
            if ($list->confirmed_at !== null) {
                throw ValidationException::withMessages(['lines' => "Edition {$list->edition} is confirmed and never changes. Make a new edition, and change that."]);
            }
            if ($list->revision !== $base) {
                throw new Stale('Somebody else changed this list in the meantime. Nothing was saved; open it again and enter your change on what is there now.', ["It was changed to revision {$list->revision}; yours began with {$base}."], 0);
            }
            $list->update(['title' => $content['title'], 'size' => $content['size'], 'basis' => $content['basis'], 'revision' => $base + 1]);
            $this->write($list, $content);
            $this->findPockets($list);
            $this->doubt($list);
            $this->refuseClashes($list);

            return $list;
        });
    }

    /**
     * What an edition says, to begin another from.
     *
     * @return Content
     */
    public static function content(KitList $list): array
    {
        $list->load(['lines.entries.item', 'lines.entries.minima', 'exclusions']);

        return [
            'title' => $list->title, 'size' => $list->size, 'basis' => $list->basis, 'excludes' => array_values($list->exclusions->pluck('class')->all()),
            'lines' => array_values($list->lines->map(static fn (Line $line): array => [
                'code' => $line->code, 'need' => $line->need, 'rank' => $line->rank->value, 'quantity' => $line->quantity,
                'total' => $line->total_quantity === null ? null : [(string) $line->total_measure => $line->total_quantity],
                'accepts' => array_values($line->entries->map(static fn ($entry): array => $entry->item !== null ? ['item' => $entry->item->code] : ['class' => $entry->class, 'min' => $entry->minima->pluck('quantity', 'measure')->all()])->all()),
                'reason' => $line->reason,
            ])->all()),
        ];
    }

    /** New lines live where the line before them lives, in every design that keeps the list: nothing is asked for without a pocket. */
    private function findPockets(KitList $list): void
    {
        $lines = $list->lines()->pluck('id')->all();
        $designs = DB::table('designs')->where('list_id', $list->id)->pluck('id')->all();
        $pouches = DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->where('pockets.module_list_id', $list->id)->pluck('pockets.id', 'leaves.design_id')->all();
        foreach ([...$designs, ...array_keys($pouches)] as $design) {
            $homes = DB::table('line_homes')->where('design_id', $design)->pluck('pocket_id', 'line_id')->all();
            $pocket = $pouches[$design] ?? DB::table('pockets')->join('leaves', 'leaves.id', '=', 'pockets.leaf_id')->where('leaves.design_id', $design)->whereNull('pockets.module_list_id')
                ->orderBy('leaves.position')->orderBy('pockets.row')->orderBy('pockets.column')->value('pockets.id');
            $position = (int) DB::table('line_homes')->where('design_id', $design)->max('position');
            foreach ($lines as $line) {
                $pocket = $homes[$line] ?? $pocket;
                if (! isset($homes[$line]) && $pocket !== null) {
                    DB::table('line_homes')->insert(['design_id' => $design, 'line_id' => $line, 'pocket_id' => $pocket, 'position' => ++$position]);
                }
            }
        }
    }

    /**
     * A list may be sound by itself and yet not go together with what a design adds to it.
     *
     * @throws InvalidDocument
     */
    private function refuseClashes(KitList $list): void
    {
        $today = app(Organisation::class)->today();
        $kits = Kit::query()->whereHas('design', fn ($designs) => $designs->where('list_id', $list->id))->orWhereHas('modules', fn ($modules) => $modules->where('list_id', $list->id))->where('retired_on', null)->get();
        foreach ($kits->unique(static fn (Kit $kit): string => $kit->design_id) as $kit) {
            $this->states->renew($kit, $today);
        }
    }

    /** Kits that are held to the list are judged again before they are shown. */
    public function doubt(KitList $list): void
    {
        $this->plans->forget();
        $this->states->doubt(array_values([
            ...DB::table('kits')->join('designs', 'designs.id', '=', 'kits.design_id')->where('designs.list_id', $list->id)->pluck('kits.id')->all(),
            ...DB::table('kit_modules')->where('list_id', $list->id)->pluck('kit_id')->all(),
        ]));
    }

    /** @param  Content  $content */
    private function write(KitList $list, array $content): void
    {
        $items = DB::table('items')->pluck('id', 'code')->all();
        $before = $list->lines()->with(['entries.item', 'entries.minima'])->get()->keyBy('code');
        $list->exclusions()->delete();
        foreach ($content['excludes'] as $class) {
            $list->exclusions()->create(['class' => $class]);
        }
        $named = $content['excludes'];
        $codes = [];
        foreach ($content['lines'] as $position => $written) {
            $codes[] = $written['code'];
            $known = $before->get($written['code']);
            $line = $known ?? new Line(['list_id' => $list->id, 'code' => $written['code']]);
            $was = $known === null ? null : self::asText($known);
            $line->fill([
                'position' => $position, 'need' => $written['need'], 'rank' => $written['rank'], 'quantity' => $written['quantity'], 'reason' => $written['reason'],
                'total_measure' => $written['total'] === null ? null : array_key_first($written['total']), 'total_quantity' => $written['total'] === null ? null : array_values($written['total'])[0],
            ])->save();
            $this->entries($line, $written['accepts'], $items);
            array_push($named, ...array_filter(array_map(static fn (array $entry): ?string => $entry['class'] ?? null, $written['accepts'])));
            if ($was !== null && $was !== self::asText($line->load(['entries.item', 'entries.minima']))) {
                // What was compared is no longer what stands there.
                $list->confirmations()->where('line_code', $line->code)->delete();
            }
        }
        foreach ($before as $code => $line) {
            if (! in_array((string) $code, $codes, true)) {
                self::remove($line);
                $list->confirmations()->where('line_code', $code)->delete();
            }
        }
        $this->classes->make(array_values($named));
    }

    /** A line with all that belongs to it, and its place in designs. */
    public static function remove(Line $line): void
    {
        DB::table('line_homes')->where('line_id', $line->id)->delete();
        DB::table('line_entry_minima')->whereIn('line_entry_id', $line->entries()->pluck('id'))->delete();
        $line->entries()->delete();
        $line->delete();
    }

    /**
     * @param  list<Entry>  $accepts
     * @param  array<string, string>  $items  ids by code
     */
    public function entries(Line $line, array $accepts, array $items): void
    {
        DB::table('line_entry_minima')->whereIn('line_entry_id', $line->entries()->pluck('id'))->delete();
        $line->entries()->delete();
        foreach ($accepts as $position => $entry) {
            $made = $line->entries()->create(['position' => $position, 'item_id' => isset($entry['item']) ? $items[$entry['item']] : null, 'class' => $entry['class'] ?? null]);
            foreach ($entry['min'] ?? [] as $measure => $quantity) {
                $made->minima()->create(['measure' => $measure, 'quantity' => $quantity]);
            }
        }
    }

    private static function asText(Line $line): string
    {
        return Json::write(KitDocument::line(ListLoader::line($line))).$line->need;
    }

    /**
     * @param  Content  $content
     *
     * @throws ValidationException
     */
    public function refuseUnsound(array $content, string $field): void
    {
        $errors = [];
        $codes = [];
        foreach ($content['excludes'] as $index => $class) {
            if (preg_match(Classes::PATTERN, $class) !== 1) {
                $errors["{$field}excludes.{$index}"][] = "\"{$class}\" is no class. Write it in small letters with dots, such as medicine.oral.";
            }
        }
        foreach ($content['lines'] as $index => $line) {
            foreach ($line['accepts'] as $place => $entry) {
                if (isset($entry['item'])) {
                    $codes[] = $entry['item'];
                    if ($this->catalogue->item($entry['item']) === null) {
                        $errors["{$field}lines.{$index}.accepts.{$place}.item"][] = "There is no item \"{$entry['item']}\" in the catalogue. Add it there first, or choose another.";
                    }
                } elseif (preg_match(Classes::PATTERN, $entry['class'] ?? '') !== 1) {
                    $errors["{$field}lines.{$index}.accepts.{$place}.class"][] = 'Write the class in small letters with dots, such as dressing.sterile.';
                }
            }
        }
        if ($errors === []) {
            $errors = $this->refusedByTheCore($content, array_values(array_unique($codes)), $field);
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
    }

    /**
     * The list as a kit would be held to it: what the core refuses there, it refuses here.
     *
     * @param  Content  $content
     * @param  list<string>  $codes
     * @return array<string, list<string>>
     */
    private function refusedByTheCore(array $content, array $codes, string $field): array
    {
        try {
            KitReader::read(Json::read(Json::write([
                'format' => KitReader::FORMAT, 'as_of' => '2000-01-01', 'kit' => ['code' => 'new'], 'policy' => ['expiry' => 'strict', 'next_check' => '2000-01-01'],
                'items' => array_map(KitDocument::item(...), array_values($this->catalogue->items($codes))),
                'list' => ['code' => 'new', 'excludes' => $content['excludes'], 'lines' => array_map(static fn (array $line): array => [
                    'id' => $line['code'], 'rank' => $line['rank'],
                    ...($line['total'] === null ? ['quantity' => $line['quantity']] : ['total' => $line['total']]),
                    'accepts' => array_map(static fn (array $entry): array => isset($entry['item']) ? ['item' => $entry['item']] : ['class' => $entry['class'] ?? '', ...(($entry['min'] ?? []) === [] ? [] : ['min' => $entry['min']])], $line['accepts']),
                ], $content['lines'])],
                'contents' => [],
            ])));
        } catch (InvalidDocument $refused) {
            $errors = [];
            foreach ($refused->problems as $problem) {
                $errors[$field.str_replace('/', '.', preg_replace('#^/list/#', '', $problem->path) ?? '')][] = $problem->message;
            }

            return $errors;
        }

        return [];
    }
}
