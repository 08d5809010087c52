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
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Lists\Rank;

/**
 * Makes a design for a list that has none yet: critical lines in front, related items in one pocket, each pocket named after its contents.
 * People who know the place better repack it.
 */
final class DesignFromList
{
    /** Classes that share a pocket, by group; classes named nowhere share the last one. */
    private const GROUPS = [
        'protection' => ['gloves', 'resuscitation', 'sanitizer'],
        'bleeding' => ['tourniquet', 'dressing', 'chest-seal'],
        'bandages' => ['bandage', 'tape', 'shears', 'safety-pin', 'splint'],
        'plasters' => ['plaster', 'wipe', 'antiseptic', 'closure', 'skin'],
        'rinsing' => ['wash', 'irrigation', 'gel', 'water', 'food'],
        'warmth' => ['blanket', 'pack', 'shelter', 'power', 'signal'],
        'tools' => [],
    ];

    /** Lines of rank critical: their pocket is reached first, whatever their class. */
    private const CRITICAL = 'critical';

    /** Longest name of a pocket, and kinds of items that one names. */
    private const NAME_LENGTH = 60;

    private const NAMED_KINDS = 3;

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
                new EditionPolicy(everyUnit: 'weeks', everyCount: 12),
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
        return new CompartmentContent('leaf', 'Pouch', inside: [new CompartmentContent(
            'pocket', self::nameOf($lines, self::titles($lines)), columnSpan: 2, lines: self::placed($lines),
        )]);
    }

    /**
     * @param  array<Line>  $lines
     * @return list<CompartmentContent>
     */
    private static function leaves(array $lines): array
    {
        $groups = [];
        foreach ($lines as $line) {
            $groups[$line->rank === Rank::Critical ? self::CRITICAL : self::group($line)][] = $line;
        }
        $titles = self::titles($lines);
        $leaves = [];
        foreach (['Front' => [self::CRITICAL, 'protection'], 'Main' => array_slice(array_keys(self::GROUPS), 1)] as $leaf => $keys) {
            $keys = array_values(array_intersect($keys, array_keys($groups)));
            if ($keys !== []) {
                $leaves[] = new CompartmentContent('leaf', $leaf, inside: array_map(
                    static fn (string $key, int $index): CompartmentContent => new CompartmentContent(
                        'pocket', self::nameOf($groups[$key], $titles, $key === self::CRITICAL ? 'First grip: ' : ''),
                        row: intdiv($index, 2) + 1, column: $index % 2 + 1,
                        columnSpan: $index % 2 === 0 && $index === count($keys) - 1 ? 2 : 1, lines: self::placed($groups[$key]),
                    ),
                    $keys,
                    array_keys($keys),
                ));
            }
        }

        return $leaves;
    }

    /**
     * @param  array<Line>  $lines
     * @return list<PlacedLine>
     */
    private static function placed(array $lines): array
    {
        return array_map(static fn (Line $line): PlacedLine => new PlacedLine($line->code), array_values($lines));
    }

    /**
     * @param  array<Line>  $lines
     * @return array<string, string> titles of the top classes of these lines, by class
     */
    private static function titles(array $lines): array
    {
        return array_map(strval(...), DB::table('item_classes')->whereIn('class', array_unique(array_map(self::top(...), $lines)))
            ->pluck('title', 'class')->all());
    }

    /**
     * Names a pocket after the kinds of items in it, those with most lines first.
     *
     * @param  array<Line>  $lines
     * @param  array<string, string>  $titles  by class
     */
    private static function nameOf(array $lines, array $titles, string $before = ''): string
    {
        $count = array_count_values(array_map(static fn (Line $line): string => $titles[self::top($line)] ?? ucfirst(self::top($line)), $lines));
        arsort($count);
        // A comma and ">" would part a path.
        $kinds = array_map(
            static fn (int|string $title): string => lcfirst(str_replace([',', '>'], ' ', (string) $title)), array_keys($count),
        );
        for ($named = min(self::NAMED_KINDS, count($kinds)); $named > 0; $named--) {
            $name = $before.implode($named === 2 ? ' and ' : ' / ', array_slice($kinds, 0, $named));
            if (mb_strlen($name) <= self::NAME_LENGTH) {
                return ucfirst($name);
            }
        }

        return $before === '' ? 'Contents' : rtrim($before, ': ');
    }

    private static function top(Line $line): string
    {
        $first = $line->entries->first();

        return explode('.', $first->item->class ?? $first->class ?? 'tool')[0];
    }

    private static function group(Line $line): string
    {
        foreach (self::GROUPS as $group => $classes) {
            if (in_array(self::top($line), $classes, true)) {
                return $group;
            }
        }

        return 'tools';
    }
}
