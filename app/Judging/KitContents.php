<?php

declare(strict_types=1);

namespace App\Judging;

use App\Kits\Models\Kit;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use stdClass;

/** What is recorded of a kit: what lies in it, and the events that it goes to. Read ahead for many kits where many are judged. */
final class KitContents
{
    private const COLUMNS = [
        'holdings.kit_id', 'holdings.pocket_id', 'holdings.lot_id', 'holdings.quantity', 'holdings.condition',
        'lots.number', 'lots.expires', 'lots.recalled_on', 'items.code',
    ];

    /** @var array<string, list<ContentRow>> by kit */
    private array $rows = [];

    /** @var array<string, list<Day>> by kit */
    private array $events = [];

    /**
     * Reads these kits at once. What was read ahead is given out once and then forgotten, so that it is never older than the judging it is for.
     *
     * @param  list<Kit>  $kits
     */
    public function readAhead(array $kits, Day $asOf): void
    {
        $ids = array_map(static fn (Kit $kit): string => $kit->id, $kits);
        $this->rows = array_fill_keys($ids, []);
        $this->events = array_fill_keys($ids, []);
        $in = array_merge([], ...array_map(self::whole(...), $kits));
        $rows = $this->holdings()->whereIn('holdings.kit_id', array_keys($in))->orderBy('holdings.id')->get(self::COLUMNS);
        foreach ($rows as $row) {
            $this->rows[$in[$row->kit_id]][] = self::row($row, $in[$row->kit_id]);
        }
        foreach ($this->planned($asOf)->whereIn('event_kits.kit_id', $ids)->get(['event_kits.kit_id', 'events.day']) as $row) {
            $this->events[$row->kit_id][] = Day::of($row->day);
        }
    }

    /** Forgets what was read ahead and not asked for. */
    public function forget(): void
    {
        $this->rows = $this->events = [];
    }

    /** @return array<string, string> the kit and the modules in it, each with the kit that it is part of */
    private static function whole(Kit $kit): array
    {
        return [$kit->id => $kit->id, ...array_fill_keys($kit->modules->pluck('id')->all(), $kit->id)];
    }

    /** @return list<ContentRow> what lies in the kit and in its modules */
    public function of(Kit $kit): array
    {
        $ahead = $this->rows[$kit->id] ?? null;
        unset($this->rows[$kit->id]);

        return $ahead ?? array_values($this->holdings()->whereIn('holdings.kit_id', array_keys(self::whole($kit)))->orderBy('holdings.id')
            ->get(self::COLUMNS)->map(static fn (stdClass $row): ContentRow => self::row($row, $kit->id))->all());
    }

    /** @return list<Day> of events from that day on, the first first */
    public function eventsOf(Kit $kit, Day $asOf): array
    {
        $ahead = $this->events[$kit->id] ?? null;
        unset($this->events[$kit->id]);

        return $ahead ?? array_values(array_map(
            Day::of(...),
            $this->planned($asOf)->where('event_kits.kit_id', $kit->id)->pluck('events.day')->all(),
        ));
    }

    private function holdings(): Builder
    {
        return DB::table('holdings')->join('lots', 'lots.id', '=', 'holdings.lot_id')->join('items', 'items.id', '=', 'lots.item_id');
    }

    private function planned(Day $asOf): Builder
    {
        return DB::table('events')->join('event_kits', 'event_kits.event_id', '=', 'events.id')
            ->where('events.day', '>=', (string) $asOf)->orderBy('events.day');
    }

    private static function row(stdClass $row, string $kit): ContentRow
    {
        $pocket = $row->kit_id === $kit ? $row->pocket_id : "{$row->kit_id}.{$row->pocket_id}";

        return new ContentRow(
            $pocket, $row->code, $row->lot_id, $row->number, $row->expires, (int) $row->quantity, $row->condition, $row->recalled_on !== null,
        );
    }
}
