<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Provision\Answers;
use Sarcina\Core\Provision\Area;
use Sarcina\Core\Provision\Hazard;
use Sarcina\Core\Provision\KitSize;
use Sarcina\Core\Provision\Provision;
use Sarcina\Core\Provision\Risk;
use Sarcina\Core\Provision\Scheme;
use Sarcina\Core\Rule;

/** Clauses of the `provision` rule beside its worked cases. */
final class ProvisionTest extends TestCase
{
    /** @return iterable<string, array{Hazard, int, array<string, int>}> */
    public static function steps(): iterable
    {
        foreach ([
            [Hazard::Low, 1, ['small' => 1]], [Hazard::Low, 24, ['small' => 1]], [Hazard::Low, 25, ['medium' => 1]], [Hazard::Low, 100, ['medium' => 1]],
            [Hazard::Low, 101, ['large' => 2]], [Hazard::Low, 200, ['large' => 2]], [Hazard::Low, 201, ['large' => 3]], [Hazard::Low, 1000, ['large' => 10]],
            [Hazard::High, 1, ['small' => 1]], [Hazard::High, 4, ['small' => 1]], [Hazard::High, 5, ['medium' => 1]], [Hazard::High, 25, ['medium' => 1]],
            [Hazard::High, 26, ['large' => 2]], [Hazard::High, 50, ['large' => 2]], [Hazard::High, 51, ['large' => 3]], [Hazard::High, 0, []],
        ] as [$hazard, $people, $kits]) {
            yield "{$people} at {$hazard->value}" => [$hazard, $people, $kits];
        }
    }

    /** @param  array<string, int>  $kits */
    #[DataProvider('steps')]
    public function test_the_steps_of_the_table(Hazard $hazard, int $people, array $kits): void
    {
        [$area] = Provision::of(Scheme::Headcount, [new Area('There', $people, $hazard)])->areas;
        $this->assertSame($kits, $area['least']->kits());
        $this->assertSame($kits, $area['full']->kits());
    }

    public function test_the_full_plan_is_never_less_than_the_least_one(): void
    {
        $rungs = ['small' => 0, 'medium' => 1, 'large' => 2, 'class-a' => 0, 'class-b' => 0];
        foreach (Scheme::cases() as $scheme) {
            foreach (Hazard::cases() as $hazard) {
                for ($people = 0; $people < 260; $people += 3) {
                    for ($points = 1; $points < 9; $points++) {
                        [$area] = Provision::of($scheme, [new Area('There', $people, $hazard, $points, risks: [Risk::Burn])])->areas;
                        $this->assertGreaterThanOrEqual(array_sum($area['least']->kits()), array_sum($area['full']->kits()));
                        $this->assertGreaterThanOrEqual(array_sum($area['least']->modules()), array_sum($area['full']->modules()));
                        $this->assertGreaterThanOrEqual($people === 0 ? 0 : $points, array_sum($area['least']->kits()), 'One at every point.');
                        $largest = static fn (array $kits): int => $kits === [] ? 0 : max(array_map(
                            static fn (string $size): int => $rungs[$size],
                            array_keys($kits),
                        ));
                        $this->assertGreaterThanOrEqual($largest($area['least']->kits()), $largest($area['full']->kits()));
                    }
                }
            }
        }
    }

    public function test_points_left_over_take_the_size_of_people_per_point_rounded_up(): void
    {
        // 97 people over four points are 25 a point, rounded up: medium, not small.
        [$area] = Provision::of(Scheme::Headcount, [new Area('There', 97, Hazard::Low, 4)])->areas;
        $this->assertSame(['medium' => 4], $area['least']->kits());
        [$area] = Provision::of(Scheme::Headcount, [new Area('There', 96, Hazard::Low, 4)])->areas;
        $this->assertSame(['medium' => 1, 'small' => 3], $area['least']->kits());
        $this->assertSame(['medium' => 4], $area['full']->kits());
    }

    public function test_every_kit_and_module_has_its_reason(): void
    {
        $provision = Provision::of(Scheme::Headcount, [new Area('There', 60, Hazard::Low, 3, 2, 1, false, [Risk::Water, Risk::Burn])]);
        $this->assertSame([
            '1 medium kit: 60 people at low hazard, 25 to 100.',
            '2 small kits: one for each of 2 points left over of 3, each for 20 people.',
            '2 travel kits: one for each lone worker.',
            '1 vehicle kit: one for each vehicle.',
            '1 module for water: the risk is there, one for the area.',
            '1 module for burns: the risk is there, one for the area.',
            '1 module for rinsing: there is no running water, one for the area.',
        ], $provision->areas[0]['least']->because());
        $this->assertSame('3 modules for burns: the risk is there, one at each of 3 points.', $provision->areas[0]['full']->because()[4]);
        $this->assertSame(['medium' => 1, 'small' => 2, 'travel' => 2, 'vehicle' => 1], $provision->totals('least')['kits']);
    }

    public function test_a_lone_worker_or_a_vehicle_alone_still_brings_the_modules(): void
    {
        [$area] = Provision::of(Scheme::KitClass, [new Area('Track', 0, Hazard::High, 2, 0, 1, true, [Risk::Remote])])->areas;
        $this->assertSame([['vehicle' => 1], ['remote' => 1]], [$area['least']->kits(), $area['least']->modules()]);
        $this->assertSame(['remote' => 2], $area['full']->modules());
        $this->assertStringEndsWith('the risk is there, one at each of 2 points.', $area['full']->because()[1]);
        $this->assertStringEndsWith('the risk is there, one for the area.', $area['least']->because()[1]);
    }

    public function test_the_reasons_say_which_step_of_the_table_it_was(): void
    {
        $why = static fn (Scheme $scheme, Area $area, string $plan = 'least'): array => Provision::of($scheme, [$area])->areas[0][$plan]->because();
        $this->assertSame(['1 small kit: 1 person at low hazard, fewer than 25.'], $why(Scheme::Headcount, new Area('A', 1, Hazard::Low)));
        $this->assertSame(['1 small kit: 4 people at high hazard, fewer than 5.'], $why(Scheme::Headcount, new Area('A', 4, Hazard::High)));
        $this->assertSame(['1 medium kit: 25 people at high hazard, 5 to 25.'], $why(Scheme::Headcount, new Area('A', 25, Hazard::High)));
        $this->assertSame(
            ['2 large kits: 101 people at low hazard, one for every 100 or part of 100.'],
            $why(Scheme::Headcount, new Area('A', 101, Hazard::Low)),
        );
        $this->assertSame(
            ['2 large kits: 26 people at high hazard, one for every 25 or part of 25.'],
            $why(Scheme::Headcount, new Area('A', 26, Hazard::High, 2)),
        );
        $this->assertSame(
            ['1 medium kit: 30 people at low hazard, 25 to 100.', '1 small kit: one for each of 1 point left over of 2, each for 15 people.'],
            $why(Scheme::Headcount, new Area('A', 30, Hazard::Low, 2)),
        );
        $this->assertSame(
            ['2 medium kits: 30 people at low hazard, 25 to 100, and one such kit at each of 2 points too far apart to share.'],
            $why(Scheme::Headcount, new Area('A', 30, Hazard::Low, 2), 'full'),
        );
        $this->assertSame(
            ['2 class-b kits: high hazard, 101 people, one for every 100 or part of 100.'],
            $why(Scheme::KitClass, new Area('A', 101, Hazard::High)),
        );
        $this->assertSame(
            ['2 class-a kits: low hazard, 100 people, one for every 50 or part of 50.'],
            $why(Scheme::KitClass, new Area('A', 100, Hazard::Low, 2), 'full'),
        );
        $this->assertSame(
            ['2 class-a kits: low hazard, 2 points too far apart to share, one at each.'],
            $why(Scheme::KitClass, new Area('A', 100, Hazard::Low, 2)),
        );
        $this->assertSame([], $why(Scheme::KitClass, new Area('A', 0, Hazard::Low, 3, 0, 0, false, [Risk::Burn])));
        $this->assertSame(
            ['1 travel kit: one for each lone worker.', '1 module for burns: the risk is there, one for the area.'],
            $why(Scheme::Headcount, new Area('A', 0, Hazard::Low, 1, 1, 0, true, [Risk::Burn]), 'full'),
        );
    }

    public function test_a_kit_stands_in_for_no_other_kind_and_never_for_a_larger_one(): void
    {
        $steps = [];
        foreach (KitSize::cases() as $size) {
            foreach (KitSize::cases() as $wanted) {
                if ($size->standsInFor($wanted) !== null) {
                    $steps["{$size->value} for {$wanted->value}"] = $size->standsInFor($wanted);
                }
            }
        }
        $this->assertSame([
            'small for small' => 0, 'medium for small' => 1, 'medium for medium' => 0, 'large for small' => 2, 'large for medium' => 1, 'large for large' => 0,
            'class-a for class-a' => 0, 'class-b for class-a' => 1, 'class-b for class-b' => 0, 'travel for travel' => 0, 'vehicle for vehicle' => 0,
        ], $steps);
    }

    public function test_answers_bring_their_risks_once_and_in_order(): void
    {
        $this->assertSame([Risk::Burn, Risk::Children, Risk::Remote], Answers::risks(4, 31, [Risk::Children, Risk::Burn]));
        $this->assertSame([], Answers::risks(0, 30, []));
    }

    public function test_defaults_may_be_left_out_and_nothing_is_written_as_an_empty_object(): void
    {
        $answer = Json::write(Rule::Provision->answer('{"format":"sarcina.assessment/1","scheme":"class","areas":[{"name":"Gate","people":3,"hazard":"high"},{"name":"Store","people":0,"hazard":"low"}]}'));
        $this->assertStringContainsString('"least":{"kits":{"class-b":1},"modules":{},', $answer);
        $this->assertStringContainsString('"least":{"kits":{},"modules":{},"because":[]}', $answer);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function refused(): iterable
    {
        $area = static fn (string $more): string => '{"format":"sarcina.assessment/1","scheme":"headcount","areas":[{"name":"Gate","people":3,"hazard":"low"'.$more.'}]}';
        yield 'a scheme that is not known' => ['{"format":"sarcina.assessment/1","scheme":"area","areas":[]}', ['/scheme']];
        yield 'no areas' => ['{"format":"sarcina.assessment/1","scheme":"class"}', ['/areas']];
        yield 'another format' => ['{"format":"sarcina.kit/1","scheme":"class","areas":[]}', ['/format']];
        yield 'no point' => [$area(',"points":0'), ['/areas/0/points']];
        yield 'half a vehicle' => [$area(',"vehicles":0.5'), ['/areas/0/vehicles']];
        yield 'fewer than nobody' => [$area(',"lone_workers":-1'), ['/areas/0/lone_workers']];
        yield 'a risk twice' => [$area(',"risks":["burn","burn"]'), ['/areas/0/risks/1']];
        yield 'water as a risk that is none' => [$area(',"risks":["no_running_water"]'), ['/areas/0/risks/0']];
        yield 'an area twice' => [
            '{"format":"sarcina.assessment/1","scheme":"class","areas":[{"name":"A","people":1,"hazard":"low"},{"name":"A","people":1,"hazard":"low"}]}',
            ['/areas/1/name'],
        ];
        yield 'nothing of an area' => [
            '{"format":"sarcina.assessment/1","scheme":"class","areas":[{}]}',
            ['/areas/0/name', '/areas/0/people', '/areas/0/hazard'],
        ];
    }

    /** @param  list<string>  $paths */
    #[DataProvider('refused')]
    public function test_bad_input_is_refused_where_it_is(string $document, array $paths): void
    {
        try {
            Rule::Provision->answer($document);
            $this->fail('It was taken.');
        } catch (InvalidDocument $refused) {
            $this->assertSame($paths, array_map(static fn (Problem $problem): string => $problem->path, $refused->problems));
        }
    }
}
