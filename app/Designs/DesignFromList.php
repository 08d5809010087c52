<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Models\Design;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Support\Transaction;
use Sarcina\Core\Lists\Rank;

/**
 * Makes a design for a list that has none yet: what is needed first lies in front, what belongs together lies together.
 * It is a beginning, to be packed otherwise where people know better.
 */
final class DesignFromList
{
    private const GROUPS = [
        'Hands and breath' => ['gloves', 'resuscitation', 'sanitizer'],
        'Bleeding' => ['tourniquet', 'dressing', 'chest-seal'],
        'Bandages and tape' => ['bandage', 'tape', 'shears', 'safety-pin', 'splint'],
        'Plasters and wipes' => ['plaster', 'wipe', 'antiseptic', 'closure', 'skin'],
        'Rinsing and burns' => ['wash', 'irrigation', 'gel', 'water', 'food'],
        'Warmth and light' => ['blanket', 'pack', 'shelter', 'power', 'signal'],
        'Tools and papers' => [],
    ];

    public function __invoke(KitList $list, string $code, string $name, ?string $provides): Design
    {
        return Transaction::run(function () use ($list, $code, $name, $provides): Design {
            $design = Design::query()->create([
                'code' => $code, 'name' => $name, 'list_id' => $list->id, 'empty_mass_g' => 500, 'max_mass_g' => null,
                'expiry' => 'strict', 'margin_days' => 14, 'grace_days' => 0,
                'every_unit' => 'weeks', 'every_count' => 12, 'before_events' => false, 'after_use' => true,
                'sealed' => false, 'provides' => $provides,
            ]);
            $groups = [];
            foreach ($list->lines()->with('entries.item')->get() as $line) {
                $groups[$line->rank === Rank::Critical ? 'First grip' : self::group($line)][] = $line->id;
            }
            $position = 0;
            foreach ([
                ['Front', ['First grip', 'Hands and breath']], ['Main', array_slice(array_keys(self::GROUPS), 1)],
            ] as $place => [$leafName, $names]) {
                $names = array_values(array_intersect($names, array_keys($groups)));
                if ($names === []) {
                    continue;
                }
                $leaf = $design->leaves()->create(['name' => $leafName, 'position' => $place]);
                foreach ($names as $index => $pocketName) {
                    $pocket = $leaf->pockets()->create([
                        'name' => $pocketName, 'row' => intdiv($index, 2) + 1, 'column' => $index % 2 + 1,
                        'row_span' => 1, 'column_span' => $index % 2 === 0 && $index === count($names) - 1 ? 2 : 1,
                    ]);
                    foreach ($groups[$pocketName] as $lineId) {
                        $design->homes()->create(['line_id' => $lineId, 'pocket_id' => $pocket->id, 'position' => $position++]);
                    }
                }
            }

            return $design;
        });
    }

    private static function group(Line $line): string
    {
        $first = $line->entries->first();
        $top = explode('.', $first->item->class ?? $first->class ?? '')[0];
        foreach (self::GROUPS as $name => $classes) {
            if (in_array($top, $classes, true)) {
                return $name;
            }
        }

        return 'Tools and papers';
    }
}
