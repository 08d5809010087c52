<?php

declare(strict_types=1);

namespace App\Designs;

use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\EditionPolicy;
use App\Designs\Edition\PlacedLine;
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

    public function __construct(private readonly PublishEdition $publish)
    {
    }

    /**
     * @param  string|null  $provides  what of a plan a kit of it is
     * @param  string|null  $serves  which risk a module of it is for: then it is one pouch
     */
    public function __invoke(KitList $list, string $code, string $name, ?string $provides, ?string $serves = null): Design
    {
        return Transaction::run(function () use ($list, $code, $name, $provides, $serves): Design {
            $design = Design::query()->create(['code' => $code, 'name' => $name, 'provides' => $provides, 'serves' => $serves]);
            $lines = $list->lines()->with('entries.item')->get();
            $leaves = $serves === null ? self::leaves($lines->all()) : [self::pouch($lines->all())];
            ($this->publish)($design, new EditionContent(
                $list->id,
                new EditionPolicy($serves === null ? 500 : 60, everyUnit: 'weeks', everyCount: 12),
                [], $serves === null ? [] : [$serves], [], $leaves,
            ), now());

            return $design;
        });
    }

    /** @return list<CompartmentContent> how the lines of a list may be packed: a beginning, for people to change */
    public static function proposal(KitList $list): array
    {
        return self::leaves($list->lines()->with('entries.item')->get()->all());
    }

    /** @param  array<Line>  $lines */
    private static function pouch(array $lines): CompartmentContent
    {
        $all = array_map(static fn (Line $line): PlacedLine => new PlacedLine($line->code), array_values($lines));

        return new CompartmentContent('leaf', 'Pouch', inside: [new CompartmentContent('pocket', 'Contents', columnSpan: 2, lines: $all)]);
    }

    /**
     * @param  array<Line>  $lines
     * @return list<CompartmentContent>
     */
    private static function leaves(array $lines): array
    {
        $groups = [];
        foreach ($lines as $line) {
            $groups[$line->rank === Rank::Critical ? 'First grip' : self::group($line)][] = new PlacedLine($line->code);
        }
        $leaves = [];
        foreach (['Front' => ['First grip', 'Hands and breath'], 'Main' => array_slice(array_keys(self::GROUPS), 1)] as $leaf => $names) {
            $names = array_values(array_intersect($names, array_keys($groups)));
            if ($names !== []) {
                $leaves[] = new CompartmentContent('leaf', $leaf, inside: array_map(
                    static fn (string $name, int $index): CompartmentContent => new CompartmentContent(
                        'pocket', $name, row: intdiv($index, 2) + 1, column: $index % 2 + 1,
                        columnSpan: $index % 2 === 0 && $index === count($names) - 1 ? 2 : 1, lines: $groups[$name],
                    ),
                    $names,
                    array_keys($names),
                ));
            }
        }

        return $leaves;
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
