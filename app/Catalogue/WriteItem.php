<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Catalogue\Models\Item;
use App\Designs\KitsKeeping;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Support\Stale;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\KitReader;

/**
 * Puts an item into the catalogue or changes one, whole, and has the kits that it matters to judged again.
 *
 * @phpstan-import-type HandlingData from ItemHandling
 *
 * @phpstan-type WrittenItem array{
 *     code: string, name: string, class: string, count_unit: string, dated: bool, sterile: bool, mass_g: int,
 *     scope: string, reserve: bool, purpose: string, caution: string|null, superseded_by: string|null,
 *     storage_min_c: int|null, storage_max_c: int|null, opened_life: int|null, opened_life_unit: string|null,
 *     allergy: string|null, handling: HandlingData|null, measures: list<array{measure: string, quantity: string}>,
 *     packs: list<array{pieces: int, price: int|null}>,
 *     needs: list<array{any_of: list<string>, per: string, quantity: int, reason: string}>, stand_ins: list<string>,
 *     only_for_trained: bool, never_for: list<string>,
 * }
 */
final class WriteItem
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Classes $classes,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
        private readonly NeverFor $neverFor,
    ) {
    }

    /**
     * @param  WrittenItem  $written
     * @param  int|null  $base  the revision that a change was based on; null for a new item
     *
     * @throws Stale where somebody else changed it in the meantime
     * @throws ValidationException at each field that is refused
     */
    public function __invoke(array $written, ?int $base): Item
    {
        if ($base === null && Item::query()->where('code', $written['code'])->exists()) {
            throw ValidationException::withMessages(['code' => 'Another item has this code. Choose one that is free.']);
        }
        $this->refuseUnsound($written);

        return Transaction::run(function () use ($written, $base): Item {
            $this->states->beginChange();
            $item = Item::query()->where('code', $written['code'])->lockForUpdate()->first();
            if ($item !== null && $item->revision !== ($base ?? 0)) {
                throw new Stale(
                    'Somebody else changed this item in the meantime. Nothing was saved; open it again and enter your change on what is there now.',
                    ["It was changed to revision {$item->revision}; yours began with {$base}."],
                    0,
                );
            }
            if ($item === null && $base !== null) {
                throw ValidationException::withMessages([
                    'code' => "There is no item \"{$written['code']}\" any more. A code stays as it is; make a new item instead.",
                ]);
            }
            $touched = $item === null ? [] : $this->kitsTouchedBy($item->id, [$item->class, $written['class']]);
            $item ??= new Item(['code' => $written['code'], 'revision' => 0]);
            $this->fill($item, $written);
            $this->classes->make([$written['class'], ...$written['never_for']]);
            $this->catalogue->forget();
            $this->neverFor->forget();
            $this->plans->forget();
            $this->states->mark($touched);

            return $item;
        });
    }

    /**
     * Kits that hold the item, ask for it or for a class that takes it.
     *
     * @param  list<string>  $classes
     * @return list<string>
     */
    public function kitsTouchedBy(string $itemId, array $classes): array
    {
        $above = [];
        foreach ($classes as $class) {
            for ($parts = explode('.', $class); $parts !== []; array_pop($parts)) {
                $above[] = implode('.', $parts);
            }
        }
        $lines = DB::table('lines')
            ->join('line_entries', 'line_entries.line_id', '=', 'lines.id')
            ->where(fn ($query) => $query->where('line_entries.item_id', $itemId)->orWhereIn('line_entries.class', $above));
        $lists = (clone $lines)->whereNotNull('lines.list_id')->distinct()->pluck('lines.list_id')->all();
        $editions = (clone $lines)->whereNotNull('lines.design_edition_id')->distinct()->pluck('lines.design_edition_id')->all();

        return array_values(
            array_unique([
                ...DB::table('holdings')
                    ->join('lots', 'lots.id', '=', 'holdings.lot_id')
                    ->where('lots.item_id', $itemId)
                    ->whereNotNull('holdings.kit_id')
                    ->pluck('holdings.kit_id')
                    ->all(),
                ...KitsKeeping::any($lists, $editions),
            ]),
        );
    }

    /** @param  WrittenItem  $written */
    private function fill(Item $item, array $written): void
    {
        $ids = DB::table('items')->pluck('id', 'code')->all();
        $handling = $written['handling'] ?? ($item->exists ? ItemHandling::read([$item->id])[$item->id] : ItemHandling::NONE);
        $item
            ->fill([
                ...array_intersect_key(
                    $written,
                    array_flip([
                        'name',
                        'class',
                        'count_unit',
                        'dated',
                        'sterile',
                        'mass_g',
                        'scope',
                        'purpose',
                        'caution',
                        'storage_min_c',
                        'storage_max_c',
                        'opened_life',
                        'opened_life_unit',
                        'allergy',
                    ]),
                ),
                ...array_intersect_key($handling, array_flip(ItemHandling::COLUMNS)),
                'keeps_as_reserve' => $written['reserve'],
                'only_for_trained' => $written['only_for_trained'],
                'superseded_by_id' => $written['superseded_by'] === null ? null : $ids[$written['superseded_by']],
                'revision' => $item->revision + 1,
            ])
            ->save();
        $ids[$item->code] = $item->id;
        $item->measures()->delete();
        $item->measures()->createMany($written['measures']);
        $item->packs()->delete();
        $item->packs()->createMany($written['packs']);
        $needs = $item->needs()->pluck('id')->all();
        DB::table('item_need_companions')->whereIn('item_need_id', $needs)->delete();
        $item->needs()->delete();
        foreach ($written['needs'] as $need) {
            $made = $item->needs()->create(array_diff_key($need, ['any_of' => 0]));
            $made->companions()->attach(array_map(static fn (string $code): string => $ids[$code], $need['any_of']));
        }
        DB::table('item_never_for')->where('item_id', $item->id)->delete();
        DB::table('item_never_for')->insert(array_map(
            static fn (string $class): array => ['item_id' => $item->id, 'class' => $class],
            $written['never_for'],
        ));
        ItemHandling::write([$item->id => $handling], $ids);
        $item->standIns()->detach();
        foreach ($written['stand_ins'] as $position => $code) {
            $item->standIns()->attach($ids[$code], ['position' => $position]);
        }
    }

    /**
     * @param  WrittenItem  $written
     *
     * @throws ValidationException
     */
    private function refuseUnsound(array $written): void
    {
        $errors = [];
        if (preg_match(Classes::PATTERN, $written['class']) !== 1) {
            $errors['class'][] = 'Write the class in small letters with dots, such as dressing.sterile.';
        }
        $named = ['superseded_by' => [$written['superseded_by']], 'stand_ins' => $written['stand_ins']];
        foreach ($written['handling']['told_from'] ?? [] as $index => $one) {
            $named["handling.told_from.{$index}.item"] = [$one['item']];
        }
        foreach ($written['needs'] as $index => $need) {
            $named["needs.{$index}.any_of"] = $need['any_of'];
        }
        foreach ($named as $field => $codes) {
            foreach ($codes as $code) {
                if ($code === $written['code']) {
                    $errors[$field][] = 'An item cannot be its own companion, stand-in, successor or look-alike.';
                } elseif ($code !== null && $this->catalogue->item($code) === null) {
                    $errors[$field][] = "There is no item \"{$code}\" in the catalogue.";
                }
            }
        }
        foreach ($written['never_for'] as $index => $class) {
            if (preg_match(Classes::PATTERN, $class) !== 1) {
                $errors["never_for.{$index}"][] = 'Write the class in small letters with dots, such as tourniquet.';
            }
        }
        $known = $this->neverFor->with([$written['code'] => $written['never_for']]);
        $faults = $known->faultsOfItem($written['code'], $written['class'], $written['never_for'], $written['stand_ins']);
        foreach ($faults as $field => $places) {
            foreach ($places as $index => $message) {
                $errors["{$field}.{$index}"][] = $message;
            }
        }
        if ($written['storage_min_c'] !== null && $written['storage_max_c'] !== null && $written['storage_min_c'] > $written['storage_max_c']) {
            $errors['storage_max_c'][] = 'The highest storage temperature is below the lowest. Change one of them.';
        }
        if (($written['opened_life'] === null) !== ($written['opened_life_unit'] === null)) {
            $errors['opened_life'][] = 'Enter the life after opening as a number with days, weeks or months, or leave both out.';
        }
        if (count(array_unique(array_column($written['packs'], 'pieces'))) < count($written['packs'])) {
            $errors['packs'][] = 'Two packs have the same number of pieces. Keep one of them.';
        }
        try {
            KitReader::items([
                [
                    'code' => $written['code'],
                    'class' => $written['class'],
                    'dated' => $written['dated'],
                    'mass_g' => $written['mass_g'],
                    'size' => (object) array_column($written['measures'], 'quantity', 'measure'),
                    'scope' => $written['scope'],
                    'reserve' => $written['reserve'],
                    'needs' => array_map(static fn (array $need): array => array_diff_key($need, ['reason' => 0]), $written['needs']),
                    'superseded_by' => $written['superseded_by'],
                ],
            ]);
        } catch (InvalidDocument $refused) {
            $places = array_flip(array_column($written['measures'], 'measure'));
            foreach ($refused->problems as $problem) {
                $path = str_replace('/', '.', preg_replace('#^/items/0/#', '', $problem->path) ?? '');
                if (str_starts_with($path, 'size.')) {
                    $path = 'measures.'.($places[substr($path, 5)] ?? 0).'.quantity';
                }
                $errors[$path][] = $problem->message;
            }
        }
        if (count(array_unique(array_column($written['measures'], 'measure'))) < count($written['measures'])) {
            $errors['measures'][] = 'A measure is given twice. Keep one of them.';
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }
    }
}
