<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Support\PacksDesigns;
use Tests\TestCase;

/** A check that was begun by an older edition of the kit's design, and arrives when the kit follows the next one. */
final class OlderEditionTest extends TestCase
{
    use PacksDesigns;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(now()->setTime(12, 0));
    }

    public function test_what_was_counted_in_a_pocket_that_is_gone_lies_where_its_line_lives_now(): void
    {
        [$check, $gone, $into] = $this->countedBeforeItsPocketWent();
        $at = $this->rowOf($check, 'plaster-washproof');
        $counted = --$check['rows'][$at]['quantity'];
        $answer = $this->actAs('keeper')->finish($check)->assertOk()->json();
        $this->assertSame(['stands', []], [$answer['standing'], $answer['unsettled']]);
        $kit = $this->readKit('QH-13');
        $lot = $check['rows'][$at]['lot'];
        $there = array_filter($kit['contents'], static fn (array $row): bool => $row['item'] === 'plaster-washproof' && $row['lot'] === $lot);
        $this->assertSame([[$into, $counted]], array_values(array_map(static fn (array $row): array => [$row['pocket_id'], $row['quantity']], $there)));
        $this->assertNotContains($gone, array_column($kit['contents'], 'pocket_id'));
        $sum = static fn (array $rows): int => array_sum(array_column($rows, 'quantity'));
        $this->assertSame($sum($check['rows']), $sum($kit['contents']), 'as many as were counted');
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_what_changed_its_pocket_is_counted_where_it_went(): void
    {
        [$check, $left, $into] = $this->countedBeforeItsPocketWent(false);
        $check['rows'][$this->rowOf($check, 'plaster-washproof')]['quantity']--;
        $this->assertSame([], $this->actAs('keeper')->finish($check)->assertOk()->json('unsettled'));
        $kit = $this->readKit('QH-13');
        $this->assertContains($left, array_column($kit['leaves'][0]['pockets'], 'id'), 'the pocket is still there');
        $this->assertSame([$into], array_values(array_unique(array_column(array_filter(
            $kit['contents'], static fn (array $row): bool => $row['item'] === 'plaster-washproof',
        ), 'pocket_id'))));
    }

    #[TestWith([true])]
    #[TestWith([false])]
    public function test_what_changed_its_pocket_in_a_module_is_counted_where_it_went(bool $isGone): void
    {
        [$check, , $into] = $this->countedBeforeItsPocketWent($isGone, ['QH-17', 'QH-M1', 'eye-roll', 'Covering']);
        $module = (string) DB::table('kits')->where('code', 'QH-M1')->value('id');
        $inModule = static fn (array $row): bool => $row['item'] === 'eye-pad' && str_starts_with($row['pocket_id'], "{$module}.");
        $at = (int) array_key_first(array_filter($check['rows'], $inModule));
        $check['rows'][$at]['quantity'] = 1;
        $this->assertSame([], $this->actAs('keeper')->finish($check)->assertOk()->json('unsettled'));
        $there = array_values(array_filter($this->readKit('QH-17')['contents'], $inModule));
        $this->assertSame([["{$module}.{$into}", 1]], array_map(static fn (array $row): array => [$row['pocket_id'], $row['quantity']], $there));
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_what_no_line_takes_now_needs_somebody(): void
    {
        [$check, $gone] = $this->countedBeforeItsPocketWent();
        $check['rows'][] = [
            'pocket_id' => $gone, 'item' => 'chest-needle', 'lot' => 'ZZ1', 'expires' => '2029-01', 'quantity' => 1, 'condition' => 'good',
            'opened_on' => null, 'new_lot' => true,
        ];
        // Another one of what a line of that pocket takes goes where that line lives.
        $check['rows'][] = [
            'pocket_id' => $gone, 'item' => 'plaster-washproof', 'lot' => 'ZZ2', 'expires' => '2029-02', 'quantity' => 3, 'condition' => 'good',
            'opened_on' => null, 'new_lot' => true,
        ];
        $answer = $this->actAs('keeper')->finish($check)->assertOk()->json();
        $this->assertSame(['no_such_pocket'], array_column($answer['unsettled'], 'because'));
        $this->assertStringContainsString('Plasters', $answer['unsettled'][0]['text']);
        $kit = $this->readKit('QH-13');
        $this->assertNotContains('chest-needle', array_column($kit['contents'], 'item'));
        $this->assertContains('ZZ2', array_column($kit['contents'], 'lot'));
        $this->assertSame([], app(Verify::class)()->faults);
    }

    public function test_a_pocket_that_no_design_has_is_refused_all_the_same(): void
    {
        [$check] = $this->countedBeforeItsPocketWent();
        $check['rows'][0]['pocket_id'] = $this->ulid();
        $this->actAs('keeper')->finish($check)->assertUnprocessable();
        // And who has seen the new edition names its pockets.
        [$check, $gone] = [$this->asRecorded($this->readKit('QH-13')), DB::table('compartments')->where('name', 'Plasters')->value('pocket_id')];
        $check['rows'][0]['pocket_id'] = $gone;
        $this->finish($check)->assertUnprocessable();
    }

    /**
     * @param  array{string, string, string, string}  $of  the kit that is checked, the one that follows (itself or a module in it), its
     *                                                     design, and the pocket that goes
     * @return array{array<string, mixed>, string, string} the check, the pocket that is gone, and where its lines live now
     */
    private function countedBeforeItsPocketWent(bool $isGone = true, array $of = ['QH-13', 'QH-13', 'walk-pouch', 'Plasters']): array
    {
        [$checked, $follows, $code, $name] = $of;
        $check = $this->actAs('keeper')->asRecorded($this->readKit($checked));
        $instant = static fn (int $minutes): string => now()->subMinutes($minutes)->toIso8601ZuluString();
        $check = [...$check, 'begun_at' => $instant(60), 'done_at' => $instant(50), 'clock_checked_at' => $instant(61), 'seal_reason' => 'Planned full check'];
        $start = $this->draftOf($this->design($code));
        $pockets = collect($start['draft']['compartments'])->where('kind', 'pocket');
        $gone = (string) ($pockets->firstWhere('name', $name)['id'] ?? $this->fail("There is no pocket {$name}."));
        $into = (string) ($pockets->where('parent_id', $pockets->firstWhere('id', $gone)['parent_id'] ?? null)->where('id', '!=', $gone)->first()['id'] ?? '');
        $start['draft']['compartments'] = array_values(array_filter(
            $start['draft']['compartments'], static fn (array $one): bool => ! $isGone || $one['id'] !== $gone,
        ));
        foreach ($start['draft']['placements'] as &$placed) {
            $placed['compartment'] = $placed['compartment'] === $gone ? $into : $placed['compartment'];
        }
        unset($placed);
        $this->publish($this->design($code), $start)->assertOk();
        $edition = $this->getJson("/api/kits/{$follows}/adoption")->assertOk()->json('to.id');
        if ($this->readKit($follows)['seal']['state'] === 'intact') {
            $this->putJson("/api/kits/{$follows}/seals/{$this->ulid()}", [
                'event' => 'broken', 'reason' => 'New edition', 'begun_at' => $instant(31), 'done_at' => $instant(30), 'base' => $this->readKit($follows)['base'],
            ])->assertOk();
        }
        $this->postJson("/api/kits/{$follows}/adoption", ['edition' => $edition])->assertOk();

        return [$check, $gone, $into];
    }
}
