<?php

declare(strict_types=1);

namespace App\Lists;

use App\Judging\JudgingVersion;
use App\Ledger\Head;
use App\Ledger\KitHistory;
use App\Lists\Http\EditionPreviewResource;
use App\Lists\Http\KitEffect;
use App\Lists\Http\VerdictChange;
use App\Lists\Models\EditionPreview;
use Illuminate\Support\Facades\DB;
use stdClass;

/** A preview of an edition as far as it is worked out, a page of kits at a time. */
final class ReadEditionPreview
{
    private const PAGE = 50;

    public function __construct(private readonly JudgingVersion $version)
    {
    }

    public function __invoke(EditionPreview $preview, int $from): EditionPreviewResource
    {
        $counts = DB::table('edition_preview_kits')->where('edition_preview_id', $preview->id)
            ->groupBy('now', 'then')->orderBy('then')->orderBy('now')->get(['now', 'then', DB::raw('COUNT(*) AS kits')]);
        $rows = DB::table('edition_preview_kits')->where('edition_preview_id', $preview->id)->where('position', '>=', $from)
            ->orderBy('position')->limit(self::PAGE)->get(['position', 'effect']);
        $last = $rows->last();

        return new EditionPreviewResource(
            $preview->id,
            $preview->state,
            $preview->kits,
            $preview->done,
            KitHistory::said($preview->made_at),
            $preview->day,
            $this->version->now() > $preview->version || Head::read()->number > $preview->operation,
            array_values($counts->map(static fn (stdClass $one): VerdictChange => new VerdictChange($one->now, $one->then, (int) $one->kits))->all()),
            array_values($rows->map(static fn (stdClass $row): KitEffect => KitEffect::from($row->effect))->all()),
            $last !== null && $last->position + 1 < $preview->done ? (int) $last->position + 1 : null,
        );
    }
}
