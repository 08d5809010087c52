<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Doubts;

/** Loads the open reports about a kit and its modules. Asks only for what the kits themselves say is open, so that many are read at once. */
final class LoadDoubts
{
    public function __construct(
        private readonly OpenBuilds $builds,
        private readonly OpenReports $reports,
        private readonly Unstaged $unstaged,
    ) {
    }

    /**
     * @param  list<Kit>  $parts  the kit, and the modules in it
     * @param  list<ContentRow>  $rows  as recorded, or as somebody counts them
     * @param  AsChecked|null  $checked  as if a full check were signed
     */
    public function of(Kit $kit, array $parts, array $rows, ?AsChecked $checked): KitDoubts
    {
        $repack = $this->builds->of($kit, $parts);
        $reports = $this->reports->of($parts, $checked);
        $notStaged = $this->unstaged->of($kit, $parts, $rows);
        $seals = $this->seals($kit, $parts, $checked);
        $byKit = [];
        foreach ($parts as $part) {
            $own = array_values(array_filter($reports, static fn (OpenReport $report): bool => $report->kitId === $part->id));
            $inPart = array_filter($rows, static fn (ContentRow $row): bool => str_contains($row->pocketId, '.')
                ? str_starts_with($row->pocketId, "{$part->id}.") : $part->id === $kit->id);
            $byKit[$part->id] = new Doubts(
                $part->build_id !== null && $repack !== null,
                isset($seals[$part->id]),
                [],
                OpenReports::used($own, $inPart),
                self::items(array_filter($notStaged, static fn (NotStaged $one): bool => $one->kitId === $part->id)),
            );
        }
        $used = [];
        foreach ($byKit as $doubts) {
            foreach ($doubts->reportedUsed as $item => $pieces) {
                $used[$item] = ($used[$item] ?? 0) + $pieces;
            }
        }

        return new KitDoubts(
            $repack, $reports, $notStaged, $seals, $byKit, new Doubts($repack !== null, $seals !== [], [], $used, self::items($notStaged)),
            $notStaged !== [],
        );
    }

    /**
     * @param  list<Kit>  $parts
     * @return array<string, SealDoubt>
     */
    private function seals(Kit $kit, array $parts, ?AsChecked $checked): array
    {
        $seals = [];
        foreach ($parts as $part) {
            if ($part->seal_doubted_on !== null && $checked?->opens($part->id) !== true) {
                $seals[$part->id] = new SealDoubt(Day::of($part->seal_doubted_on), $part->id === $kit->id ? null : $part->code);
            }
        }

        return $seals;
    }

    /**
     * @param  array<NotStaged>  $notStaged
     * @return list<string>
     */
    private static function items(array $notStaged): array
    {
        return array_values(array_unique(array_map(static fn (NotStaged $one): string => $one->item, $notStaged)));
    }
}
