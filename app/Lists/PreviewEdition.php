<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Designs\Models\Design;
use App\Judging\JudgingVersion;
use App\Judging\KitContents;
use App\Judging\KitPlan;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Head;
use App\Lists\Models\EditionPreview;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Throwable;

/** Works out what an edition would do to many kits: in one snapshot, so that all of it is of one moment. */
final class PreviewEdition implements ShouldQueue
{
    use Queueable;

    public int $timeout = 900;

    public int $tries = 2;

    public function __construct(public readonly string $preview)
    {
    }

    public function handle(EffectsOfEdition $effects, JudgingVersion $version, KitContents $contents, Organisation $organisation): void
    {
        $preview = EditionPreview::query()->with(['from', 'to'])->find($this->preview);
        if ($preview === null || $preview->state === 'done') {
            return;
        }
        $written = DB::connection('aside');
        $written->table('edition_preview_kits')->where('edition_preview_id', $preview->id)->delete();
        DB::transaction(function () use ($preview, $effects, $version, $contents, $organisation, $written): void {
            // The first thing that is read: the snapshot of all that follows.
            $seen = $version->now();
            $day = $organisation->today();
            $plans = [];
            $designs = [];
            foreach ($preview->from->designs()->with('latest')->get() as $design) {
                /** @var Design $design */
                $plans[$design->id] = $effects->then($design, $preview->from, $preview->to);
                $designs[] = $design->id;
            }
            $kits = $effects->kits($designs)->with('edition:id,design_id');
            $told = ['state' => 'running', 'version' => $seen, 'operation' => Head::read()->number, 'day' => $day, 'kits' => (clone $kits)->count()];
            $written->table('edition_previews')->where('id', $preview->id)->update($told);
            $done = 0;
            foreach ($kits->lazy(KitStates::AT_ONCE)->chunk(KitStates::AT_ONCE) as $some) {
                $some = array_values($some->all());
                $contents->readAhead($some, Day::of($day));
                $rows = array_map(fn (Kit $kit, int $index): array => self::row(
                    $preview->id, $done + $index, $effects, $kit, $plans[$kit->edition->design_id], $day,
                ), $some, array_keys($some));
                $contents->forget();
                $written->table('edition_preview_kits')->insert($rows);
                $written->table('edition_previews')->where('id', $preview->id)->update(['done' => $done += count($some)]);
            }
        });
        $written->table('edition_previews')->where('id', $preview->id)->update(['state' => 'done']);
    }

    public function failed(?Throwable $why): void
    {
        EditionPreview::query()->where('id', $this->preview)->update(['state' => 'failed']);
    }

    /** @return array<string, int|string> */
    private static function row(string $preview, int $position, EffectsOfEdition $effects, Kit $kit, KitPlan $then, string $day): array
    {
        $effect = $effects->of($kit, $then, $day);

        return [
            'edition_preview_id' => $preview, 'position' => $position, 'now' => $effect->now, 'then' => $effect->then,
            'effect' => (string) json_encode($effect, JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR),
        ];
    }
}
