<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Kit\CompanionNeed;
use Sarcina\Core\Kit\CompanionsPer;
use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Kit\Scope;
use Sarcina\Core\Lists\Rank;
use Sarcina\Core\Packing\Compartment;
use Sarcina\Core\Packing\Handling;
use Sarcina\Core\Packing\Hint;
use Sarcina\Core\Packing\HintKind;
use Sarcina\Core\Packing\Hints;
use Sarcina\Core\Packing\Layer;
use Sarcina\Core\Packing\LeaveOut;
use Sarcina\Core\Packing\Load;
use Sarcina\Core\Packing\PackedLine;
use Sarcina\Core\Packing\Packing;
use Sarcina\Core\Packing\Wrappers;

/** Advice while one packs: each kind where it is due, and silent where it is not. */
final class PackingTest extends TestCase
{
    public function test_reach_counts_the_closures_of_a_compartment_and_of_what_it_lies_in(): void
    {
        $packing = new Packing([
            new Compartment('lid', closes: true), new Compartment('pouch', 'lid', closes: true), new Compartment('net', 'lid'),
            new Compartment('inner', 'pouch', closes: true), new Compartment('out'),
        ], []);

        self::assertSame([1, 2, 1, 3, 0], array_map($packing->reach(...), ['lid', 'pouch', 'net', 'inner', 'out']));
    }

    /** @param  list<HintKind>  $expected */
    #[DataProvider('packings')]
    public function test_each_kind_is_said_where_it_is_due_and_only_there(Packing $packing, array $expected): void
    {
        self::assertEquals($expected, array_map(static fn (Hint $hint): HintKind => $hint->kind, Hints::of($packing)));
    }

    /** @return iterable<string, array{Packing, list<HintKind>}> */
    public static function packings(): iterable
    {
        $leaves = [
            new Compartment('main', closes: true), new Compartment('a', 'main'), new Compartment('b', 'main', closes: true),
            new Compartment('net', 'main', isExposedToRain: true), new Compartment('dry', 'net', isWaterproof: true), new Compartment('in', 'a'),
        ];
        $of = static fn (PackedLine ...$lines): Packing => new Packing($leaves, array_values($lines));
        $pad = self::item('pad', 'dressing.pad', needs: [new CompanionNeed(['tape'], CompanionsPer::Kit, 1)]);
        $tape = self::item('tape', 'tape');
        yield 'nothing to say' => [$of(self::line('L1', $tape, ['a' => 1])), []];
        yield 'a companion that is not there' => [$of(self::line('L1', $pad, ['a' => 1])), [HintKind::CompanionMissing]];
        yield 'a companion in another pocket' => [
            $of(self::line('L1', $pad, ['a' => 1]), self::line('L2', $tape, ['b' => 1])), [HintKind::CompanionApart],
        ];
        yield 'a companion in a pouch inside the pocket' => [$of(self::line('L1', $pad, ['a' => 1]), self::line('L2', $tape, ['in' => 1])), []];
        yield 'a companion in one of two pockets' => [$of(self::line('L1', $pad, ['a' => 1]), self::line('L2', $tape, ['a' => 1, 'b' => 1])), []];
        $gloves = self::item('gloves-l', 'gloves.nitrile');
        $small = self::item('gloves-s', 'gloves.nitrile');
        yield 'gloves behind a zip, tape before it' => [
            $of(self::line('L1', $gloves, ['b' => 1]), self::line('L2', $tape, ['a' => 1]), self::line('L3', $small, ['a' => 1])),
            [HintKind::GlovesNotFirst],
        ];
        yield 'two sizes of gloves in front' => [$of(self::line('L1', $gloves, ['a' => 1]), self::line('L2', $small, ['a' => 1])), []];
        yield 'one size of gloves' => [$of(self::line('L1', $gloves, ['a' => 1])), [HintKind::OneGloveSize]];
        yield 'critical behind two closures' => [
            $of(self::line('L1', $tape, ['b' => 1], rank: Rank::Critical)), [HintKind::CriticalBehind],
        ];
        yield 'critical behind two closures, and before them' => [$of(self::line('L1', $tape, ['a' => 1, 'b' => 1], rank: Rank::Critical)), []];
        yield 'started early' => [$of(self::line('L1', $tape, ['a' => 1], new Handling(startMinutes: 5))), [HintKind::StartEarly]];
        $layers = static fn (string $where): Packing => $of(
            self::line('L1', $tape, ['a' => 1], new Handling(Layer::Contact)), self::line('L2', $tape, [$where => 1], new Handling(Layer::Absorb)),
        );
        yield 'layers in two pockets' => [$layers('b'), [HintKind::LayersApart]];
        yield 'layers in one pocket' => [$layers('a'), []];
        yield 'layers in a pouch of the pocket' => [$layers('in'), []];
        $gauze = self::item('gauze', 'dressing.haemostatic', scope: Scope::FirstAider);
        $seal = self::item('seal', 'chest-seal', scope: Scope::Trained);
        $byAnyone = static fn (Item $item): Packing => new Packing($leaves, [
            self::line('L1', $item, ['a' => 1], new Handling(hasCaution: true)),
        ], scope: Scope::Anyone);
        yield 'beyond the scope of practice' => [$byAnyone($gauze), [HintKind::BeyondScope]];
        yield 'within the scope of practice' => [$byAnyone($tape), []];
        yield 'an excluded class' => [
            new Packing($leaves, [self::line('L1', $gauze, ['a' => 1])], [new ItemClass('dressing')]), [HintKind::ExcludedClass],
        ];
        yield 'not excluded, though its name begins alike' => [
            new Packing($leaves, [self::line('L1', $gauze, ['a' => 1])], [new ItemClass('dress')]), [],
        ];
        $alike = static fn (string $where): Packing => $of(
            self::line('L1', $tape, ['a' => 1], new Handling(toldFrom: ['gauze'])), self::line('L2', $gauze, [$where => 1], new Handling(toldFrom: ['tape'])),
        );
        yield 'look-alikes side by side, said once' => [$alike('a'), [HintKind::LookAlikes]];
        yield 'look-alikes apart' => [$alike('b'), []];
        yield 'latex with an allergy' => [
            new Packing($leaves, [self::line('L1', $tape, ['a' => 1], new Handling(hasLatex: true))], isLatexFree: true), [HintKind::Latex],
        ];
        yield 'latex without an allergy' => [$of(self::line('L1', $tape, ['a' => 1], new Handling(hasLatex: true))), []];
        yield 'a caution missing' => [$of(self::line('L1', $seal, ['a' => 1])), [HintKind::CautionMissing]];
        yield 'a caution there' => [$of(self::line('L1', $seal, ['a' => 1], new Handling(hasCaution: true))), []];
        yield 'a pocket for sharps without a caution' => [
            new Packing([new Compartment('s', isForSharps: true)], []), [HintKind::CautionMissing],
        ];
        $tourniquet = self::item('tq', 'tourniquet');
        $pressure = self::item('pb', 'dressing.pressure');
        yield 'one means alone' => [$of(self::line('L1', $tourniquet, ['a' => 1])), [HintKind::OneMeans]];
        yield 'the other means alone' => [$of(self::line('L1', $pressure, ['a' => 1])), [HintKind::OneMeans]];
        yield 'both means' => [$of(self::line('L1', $tourniquet, ['a' => 1]), self::line('L2', $pressure, ['a' => 1])), []];
        $two = static fn (Rank $rank): Packing => $of(
            self::line('L1', self::item('t1', 'splint'), ['a' => 1], rank: $rank), self::line('L2', self::item('t2', 'splint'), ['a' => 1], rank: $rank),
        );
        yield 'two models of what is critical' => [$two(Rank::Critical), [HintKind::TwoModels]];
        yield 'two models of what is not' => [$two(Rank::Required), []];
        $staged = static fn (?Wrappers $wrappers): Packing => new Packing($leaves, [
            self::line('L1', $tape, ['a' => 1], new Handling(staging: 'Take the wrapper off', unwraps: true), Rank::Critical),
        ], wrappers: $wrappers);
        yield 'a wrapper left, nobody chose' => [$staged(null), [HintKind::WrapperLeft]];
        yield 'a wrapper left on purpose' => [$staged(Wrappers::On), [HintKind::WrapperLeft]];
        yield 'wrappers off' => [$staged(Wrappers::Off), []];
        $wet = static fn (string $where): Packing => $of(self::line('L1', $tape, [$where => 1], new Handling(keepDry: true)));
        yield 'dislikes wet, in the rain' => [$wet('net'), [HintKind::Wet]];
        yield 'dislikes wet, in a waterproof pouch' => [$wet('dry'), []];
        yield 'dislikes wet, inside' => [$wet('a'), []];
    }

    public function test_what_is_set_aside_is_remembered_by_what_it_is_about(): void
    {
        $hint = new Hint(HintKind::CompanionApart, 'L1', 'pad', ['tape', 'pin'], figure: 3);

        self::assertSame('companion_apart L1 pad tape,pin', $hint->subject());
    }

    public function test_a_load_is_the_sum_of_what_lies_there(): void
    {
        $lines = [
            self::line('L1', self::item('pad', 'dressing', mass: 20), ['a' => 2, 'b' => 1], new Handling(bulk: 150)),
            self::line('L2', self::item('tape', 'tape', mass: 12), ['b' => 3]),
        ];

        self::assertEquals(new Load(40, 300, ['pad' => 2], 0), Load::of($lines, ['a']));
        self::assertEquals(new Load(56, 150, ['pad' => 1, 'tape' => 3], 1), Load::of($lines, ['b']));
        self::assertEquals(new Load(96, 450, ['pad' => 3, 'tape' => 3], 1), Load::of($lines));
    }

    public function test_only_optional_lines_are_left_out_and_what_frees_most_comes_first(): void
    {
        $lines = [
            self::line('L1', self::item('pad', 'dressing', mass: 20, needs: [new CompanionNeed(['tape'], CompanionsPer::Kit, 1)]), ['a' => 2]),
            self::line('L2', self::item('tape', 'tape', mass: 900), ['a' => 1], rank: Rank::Optional),
            self::line('L3', self::item('gloves', 'gloves.nitrile', mass: 900), ['a' => 2], rank: Rank::Optional),
            self::line('L4', self::item('seal', 'chest-seal', mass: 900), ['a' => 2], rank: Rank::Optional),
            self::line('L5', self::item('tq', 'tourniquet', mass: 900), ['a' => 2], rank: Rank::Critical),
            self::line('L6', self::item('book', 'document', mass: 30), ['a' => 2], new Handling(bulk: 10), Rank::Optional),
            self::line('L7', self::item('bag', 'bag', mass: 61), ['a' => 1], rank: Rank::Optional),
            self::line('L8', self::item('none', 'bag', mass: 61), [], rank: Rank::Optional),
        ];

        self::assertSame(
            [['L7', 1, 61, null], ['L6', 2, 60, 20]],
            array_map(static fn (LeaveOut $one): array => [$one->line->code, $one->pieces, $one->mass, $one->bulk], LeaveOut::ranked($lines)),
        );
    }

    /** @param  array<string, int>  $pieces */
    private static function line(string $code, Item $item, array $pieces, Handling $handling = new Handling, Rank $rank = Rank::Required): PackedLine
    {
        return new PackedLine($code, $rank, $item, $handling, $pieces);
    }

    /** @param  list<CompanionNeed>  $needs */
    private static function item(string $code, string $class, Scope $scope = Scope::Anyone, array $needs = [], int $mass = 10): Item
    {
        return new Item($code, new ItemClass($class), false, $mass, [], $scope, true, $needs, null);
    }
}
