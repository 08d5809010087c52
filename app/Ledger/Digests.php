<?php

declare(strict_types=1);

namespace App\Ledger;

use Illuminate\Support\Facades\DB;

/** All that an assessment or an edition of a list says, as one SHA-256: what was signed or confirmed can be told from what is there now. */
final class Digests
{
    public function of(string $subject, string $id): string
    {
        $text = '';
        foreach ($subject === 'assessment' ? $this->assessment($id) : $this->edition($id) as $table => $rows) {
            $text .= Canonical::field($table).Canonical::field(count($rows));
            foreach ($rows as $row) {
                foreach ($row as $value) {
                    $text .= Canonical::field($value);
                }
            }
        }

        return hash('sha256', $text);
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function assessment(string $id): array
    {
        $areas = DB::table('assessment_areas')->where('assessment_id', $id)->pluck('id')->all();
        $of = fn (string $table, array $columns): array => $this->rows(
            DB::table($table)
                ->whereIn('assessment_area_id', $areas)
                ->orderBy('assessment_area_id')
                ->orderBy($columns[0])
                ->orderBy($columns[1] ?? $columns[0]),
            ['assessment_area_id', ...array_values($columns)],
        );

        return [
            'assessments' => $this->rows(DB::table('assessments')->where('id', $id), [
                'id',
                'title',
                'scheme',
                'chosen',
                'signed',
                'signed_by_id',
                'signed_on',
                'review_on',
            ]),
            'areas' => $this->rows(DB::table('assessment_areas')->where('assessment_id', $id)->orderBy('id'), [
                'id',
                'position',
                'name',
                'hangs_at',
                'people',
                'hazard',
                'points',
                'lone_workers',
                'vehicles',
                'running_water',
                'children',
                'minutes_to_help',
                'note',
            ]),
            ...$this->answeredFreezers($id),
            'places' => $of('assessment_area_places', ['position', 'place_id']),
            'risks' => $of('assessment_area_risks', ['risk']),
            'overrides' => $of('assessment_overrides', ['plan', 'wanted', 'count', 'reason', 'user_id']),
        ];
    }

    /**
     * Reads the answers about freezers, left out where there is none, so that an assessment signed before the question reads as it did.
     *
     * @return array<string, list<array<string, mixed>>>
     */
    private function answeredFreezers(string $id): array
    {
        $rows = $this->rows(
            DB::table('assessment_areas')->where('assessment_id', $id)->whereNotNull('has_freezer')->orderBy('id'), ['id', 'has_freezer'],
        );

        return $rows === [] ? [] : ['freezers' => $rows];
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function edition(string $id): array
    {
        $lines = DB::table('lines')->where('list_id', $id)->pluck('id')->all();
        $entries = DB::table('line_entries')->whereIn('line_id', $lines)->pluck('id')->all();
        // Came later: left out where there is nothing of it, so that what was confirmed before reads as it did.
        $anyone = $this->rows(DB::table('lines')->where('list_id', $id)->where('anyone_may_use', true)->orderBy('code'), ['code']);
        $without = $this->rows(DB::table('lists')->where('id', $id)->whereNotNull('no_critical_because'), ['no_critical_because']);

        $madeFor = $this->rows(DB::table('lists')->where('id', $id)->whereNotNull('made_for_people'), ['made_for_people', 'made_for_days']);
        $per = $this->rows(DB::table('lines')->where('list_id', $id)->where('per', '<>', 'trip')->orderBy('code'), ['code', 'per']);

        return [
            'lists' => $this->rows(DB::table('lists')->where('id', $id), [
                'id',
                'code',
                'title',
                'size',
                'edition',
                'basis',
                'origin',
                'kind',
                'confirmed_at',
                'confirmed_by_id',
            ]),
            'exclusions' => $this->rows(DB::table('list_exclusions')->where('list_id', $id)->orderBy('class'), ['class']),
            'lines' => $this->rows(DB::table('lines')->where('list_id', $id)->orderBy('position')->orderBy('id'), [
                'id',
                'code',
                'position',
                'need',
                'rank',
                'quantity',
                'total_measure',
                'total_quantity',
                'reason',
            ]),
            'entries' => $this->rows(DB::table('line_entries')->whereIn('line_id', $lines)->orderBy('line_id')->orderBy('position'), [
                'line_id',
                'position',
                'item_id',
                'class',
            ]),
            'minima' => $this->limits($entries, false),
            ...($this->limits($entries, true) === [] ? [] : ['maxima' => $this->limits($entries, true)]),
            ...($without === [] ? [] : ['no critical line' => $without]),
            ...($madeFor === [] ? [] : ['made for' => $madeFor]),
            ...($per === [] ? [] : ['per' => $per]),
            ...($anyone === [] ? [] : ['for anyone' => $anyone]),
            'confirmations' => $this->rows(DB::table('line_confirmations')->where('list_id', $id)->orderBy('line_code'), [
                'line_code',
                'need',
                'outcome',
                'asked',
                'figure',
                'note',
                'user_id',
                'confirmed_at',
            ]),
        ];
    }

    /**
     * @param  array<array-key, mixed>|\Illuminate\Support\Collection<int, mixed>  $entries
     * @return list<array<string, mixed>> minimum or maximum measures of entries of lines
     */
    private function limits($entries, bool $areMaxima): array
    {
        return $this->rows(
            DB::table('line_entry_limits')->whereIn('line_entry_id', $entries)->where('is_maximum', $areMaxima)
                ->orderBy('line_entry_id')->orderBy('measure'),
            ['line_entry_id', 'measure', 'quantity'],
        );
    }

    /**
     * @param  \Illuminate\Database\Query\Builder  $query
     * @param  list<string>  $columns
     * @return list<array<string, mixed>>
     */
    private function rows($query, array $columns): array
    {
        return array_values($query->get($columns)->map(static fn (object $row): array => (array) $row)->all());
    }
}
