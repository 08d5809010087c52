<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Catalogue\Catalogue;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Kit\Condition;
use Sarcina\Core\Kit\ExpiryPolicy;
use Sarcina\Core\Kit\Kit;
use Sarcina\Core\Kit\Policy;
use Sarcina\Core\Kit\Row;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Line;
use Tests\TestCase;

/** The lists that ship: a kit of their own items meets them, and nothing in it lacks its companion. */
final class ShippedListsTest extends TestCase
{
    public function test_a_kit_of_its_own_items_meets_every_shipped_list_with_every_companion(): void
    {
        $lists = app(ListLoader::class);
        $catalogue = app(Catalogue::class);
        $day = Day::of('2026-12-02');
        $met = 0;
        $faults = [];
        foreach (KitList::query()->with(['lines.entries.item', 'lines.entries.limits', 'exclusions'])->get() as $list) {
            $asked = ListLoader::asked($list);
            [$lines] = $lists->outfitByLine($asked);
            $items = $catalogue->items(array_values(array_unique(array_column($lines, 1))));
            $rows = array_map(static fn (array $line): Row => new Row(
                null, $items[$line[1]], null, $items[$line[1]]->dated ? PrintedDate::of('2035-12') : null, $line[2], Condition::Good,
            ), $lines);
            $judgement = $lists->judge($asked, $rows, new Kit('new', Scope::Clinician, null, 0), new Policy(ExpiryPolicy::Strict, $day, 0), $day);
            $found = array_map(
                static fn (Finding $finding): string => "{$finding->kind->value} {$finding->item?->code} {$finding->line?->id}",
                array_values(array_filter($judgement->findings, static fn (Finding $finding): bool => in_array(
                    $finding->kind, [FindingKind::Short, FindingKind::Unpaired, FindingKind::Excluded, FindingKind::BeyondScope], true,
                ))),
            );
            // A published list keeps its own lines, even where an item of it needs a companion that the list does not name.
            $found = $list->origin === 'starter' ? array_filter($found, static fn (string $one): bool => ! str_starts_with($one, 'unpaired')) : $found;
            $faults = [...$faults, ...array_map(static fn (string $one): string => "{$list->code}: {$one}", array_values($found))];
            $met++;
        }
        $this->assertSame([], $faults);
        $this->assertGreaterThan(20, $met);
    }

    public function test_a_shipped_list_that_prepares_for_severe_bleeding_keeps_the_patient_warm(): void
    {
        /** @var array{lists: list<array{code: string, lines: list<array<string, mixed>>}>} $shipped */
        $shipped = json_decode((string) file_get_contents(database_path('reference/house-lists.json')), true);
        $names = static fn (array $list, string $part): bool => str_contains((string) json_encode(array_column($list['lines'], 'accepts')), $part);
        $bleeding = array_filter($shipped['lists'], static fn (array $list): bool => $names($list, 'windlass-tourniquet'));
        $this->assertGreaterThan(3, count($bleeding));
        foreach ($bleeding as $list) {
            $this->assertTrue($names($list, 'blanket') || $names($list, 'bivvy-bag'), $list['code']);
        }
    }

    public function test_an_adult_mask_is_too_large_for_a_childs_line_and_a_childs_mask_meets_no_adult_line(): void
    {
        $catalogue = app(Catalogue::class);
        $takes = static fn (Line $line, string $item): bool => $line->entryFor($catalogue->items([$item])[$item]) !== null;
        [$ofAChild, $ofAdults] = [0, 0];
        foreach (KitList::query()->with(['lines.entries.item', 'lines.entries.limits'])->get()->flatMap->lines as $model) {
            $line = ListLoader::line($model);
            if (str_contains($model->need, 'for a child')) {
                $this->assertSame([true, true, false, false], array_map(
                    static fn (string $item): bool => $takes($line, $item), ['face-shield-child', 'pocket-mask-child', 'pocket-mask', 'face-shield'],
                ));
                $ofAChild++;
            } elseif ($takes($line, 'face-shield') || $takes($line, 'pocket-mask')) {
                $this->assertFalse($takes($line, 'face-shield-child') || $takes($line, 'pocket-mask-child'), $model->need);
                $ofAdults++;
            }
        }
        $this->assertSame(2, $ofAChild);
        $this->assertGreaterThan(5, $ofAdults);
    }

    public function test_every_shipped_list_says_for_whom_it_is_made_and_an_adult_shield_never_meets_a_childs_line(): void
    {
        foreach (['reference/starter-lists.json', 'reference/house-lists.json'] as $file) {
            /** @var array{lists: list<array<string, mixed>>} $shipped */
            $shipped = json_decode((string) file_get_contents(database_path($file)), true);
            foreach ($shipped['lists'] as $list) {
                /** @var list<array<string, mixed>> $sizes */
                $sizes = $list['sizes'] ?? [$list];
                foreach ($sizes as $size) {
                    $this->assertArrayHasKey('made_for', $size, (string) json_encode($list['code']));
                    /** @var list<array<string, mixed>> $lines */
                    $lines = $size['lines'];
                    foreach ($lines as $line) {
                        $this->assertContains($line['per'] ?? null, ['trip', 'people', 'person_days'], (string) json_encode($line['need']));
                        $isForAChild = str_contains((string) json_encode($line['need']), 'for a child');
                        $this->assertFalse($isForAChild && in_array(['item' => 'face-shield'], (array) ($line['accepts'] ?? []), true));
                    }
                }
            }
        }
    }
}
