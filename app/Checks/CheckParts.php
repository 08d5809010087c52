<?php

declare(strict_types=1);

namespace App\Checks;

use App\Catalogue\Catalogue;
use App\Judging\ContentRow;
use App\Judging\Judged;
use App\Judging\Words;
use App\Ledger\Location;
use App\Ledger\LotName;
use App\Ledger\Names;
use App\Ledger\Parts\CheckFinding;
use App\Ledger\Parts\CheckLine;
use App\Ledger\Parts\CheckOutcome;
use App\Ledger\Parts\CheckRow;
use App\Lists\Models\KitList;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\Severity;

/** What belongs to a check, with everything as it reads on its day: its outcome, the rows as counted, the lines and what was found. */
final class CheckParts
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Words $words,
    ) {
    }

    public function outcome(string $kitId, string $standing, Judged $judged, ?string $sealFound): CheckOutcome
    {
        $list = $judged->plan->list;
        $judgement = $judged->judgement;

        return new CheckOutcome(
            $kitId,
            $standing,
            $judged->plan->name,
            KitList::named($list->title, $list->size),
            $list->edition,
            $list->confirmed,
            $judgement->assignment->policy->expiry->value,
            $judged->usedBy()->value,
            (string) $judgement->assignment->policy->nextCheck,
            $judgement->assignment->policy->marginDays,
            $judgement->verdict->value,
            $judgement->mass,
            $judged->plan->maxMass,
            $sealFound,
        );
    }

    /**
     * @param  list<ContentRow>  $before
     * @param  list<ContentRow>  $counted
     * @return list<CheckRow>
     */
    public function rows(string $kitId, Judged $judged, array $before, array $counted, ContentsAfter $after): array
    {
        $rows = [];
        $sums = [];
        foreach ([$before, $counted, $after->rows] as $which => $some) {
            foreach ($some as $row) {
                $rows[$row->key()] ??= $row;
                $sums[$row->key()][$which] = ($sums[$row->key()][$which] ?? 0) + $row->quantity;
            }
        }

        return array_values(
            array_map(
                fn (string $key, ContentRow $row): CheckRow => new CheckRow(
                    (string) Location::pocket($kitId, $row->pocketId)->kitId,
                    (string) Location::pocket($kitId, $row->pocketId)->pocketId,
                    $judged->plan->pockets[$row->pocketId]->name ?? 'elsewhere',
                    (string) $row->lotId,
                    $row->itemCode,
                    $this->catalogue->name($row->itemCode),
                    $row->lot,
                    $row->expires,
                    $row->condition,
                    $sums[$key][0] ?? 0,
                    $sums[$key][1] ?? 0,
                    $sums[$key][2] ?? 0,
                    in_array($key, $after->inDoubt, true),
                ),
                array_keys($rows),
                $rows,
            ),
        );
    }

    /** @return list<CheckLine> */
    public function lines(Judged $judged): array
    {
        $lines = [];
        foreach ($judged->judgement->lines as $outcome) {
            $line = $judged->plan->line($outcome->line->id);
            $lines[] = new CheckLine(
                $outcome->line->id,
                $line->need,
                $line->pocketId === null ? null : $judged->plan->pockets[$line->pocketId]->name ?? null,
                $outcome->line->rank->value,
                (string) $outcome->required,
                (string) $outcome->effective,
                $outcome->reserve,
                (string) $outcome->short,
            );
        }

        return $lines;
    }

    /** @return list<CheckFinding> gravest first */
    public function findings(Judged $judged): array
    {
        $order = [Severity::Stop, Severity::Fix, Severity::Note];
        $findings = $judged->judgement->findings;
        usort(
            $findings,
            static fn (Finding $one, Finding $other): int => array_search($one->severity, $order, true) <=>
                array_search($other->severity, $order, true),
        );

        return array_map(fn (Finding $finding): CheckFinding => $this->words->fact($judged, $finding), $findings);
    }

    /** @param  list<CheckRow>  $rows */
    public function names(array $rows): Names
    {
        $names = new Names;
        foreach ($rows as $row) {
            $names->rememberLot($row->lotId, new LotName($row->itemCode, $row->itemName, $row->lotNumber, $row->expires));
            $names->rememberPocket($row->pocketId, $row->pocket);
        }

        return $names;
    }
}
