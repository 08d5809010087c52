<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Accounts\Models\User;
use App\Assess\AnswerArea;
use App\Assess\Models\AreaChange;
use App\Assess\Models\AssessmentArea;
use App\Assess\SignAssessment;
use App\Assess\StartAssessment;
use App\Kits\Models\Place;
use App\Lists\ConfirmList;
use App\Lists\LineContent;
use App\Lists\ListContent;
use App\Lists\Models\KitList;
use App\Lists\NewEdition;
use App\Lists\WriteList;
use App\People\Models\CoverNeed;
use App\People\Models\FirstAider;
use App\People\Shifts;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** First aiders, a confirmed edition and the one after it, and two years' assessments, through the actions that the application uses. */
final class DemoPlanning
{
    public function __construct(
        private readonly ConfirmList $confirm,
        private readonly NewEdition $editions,
        private readonly WriteList $lists,
        private readonly StartAssessment $start,
        private readonly AnswerArea $answer,
        private readonly SignAssessment $sign,
    ) {
    }

    /**
     * @param  array<string, User>  $people
     * @param  array<string, Place>  $places
     */
    public function load(DemoFiles $files, array $people, array $places): void
    {
        $this->firstAiders($files, $places);
        $this->editions($files, $people['lead']);
        $this->assessments($files, $people['lead'], $places);
    }

    /** @param  array<string, Place>  $places */
    private function firstAiders(DemoFiles $files, array $places): void
    {
        foreach ($files->rows('shifts') as $at => $row) {
            DB::table('shifts')->insert([
                'name' => $row['name'], 'weekdays' => Shifts::asBits(array_map(intval(...), explode(';', $row['weekdays']))),
                'starts_at' => $row['from'], 'ends_at' => $row['to'], 'position' => $at + 1,
            ]);
        }
        foreach ($files->rows('first-aiders') as $row) {
            $person = FirstAider::query()->create([
                'name' => $row['name'],
                'ended_on' => $row['ended_days_ago'] === '' ? null : $files->today->subDays((int) $row['ended_days_ago'])->toDateString(),
            ]);
            $person->qualifications()->create([
                'scope' => $row['scope'], 'title' => $row['training'],
                'expires_on' => $files->today->addDays((int) $row['expires_in_days'])->toDateString(),
            ]);
            foreach (array_filter(explode(';', $row['postings'])) as $posting) {
                [$key, $shift] = explode('@', $posting);
                $person->postings()->create(['place_id' => $places[$key]->id, 'shift' => $shift]);
            }
        }
        foreach ($files->rows('cover') as $row) {
            CoverNeed::query()->create([
                'place_id' => $places[$row['place']]->id, 'shift' => $row['shift'], 'scope' => $row['scope'],
                'count' => (int) $row['count'],
            ]);
        }
    }

    /** The climbers' set was compared line by line and confirmed; its next edition asks for more. */
    private function editions(DemoFiles $files, User $lead): void
    {
        $first = KitList::query()->where('code', 'bleeding-set')->firstOrFail();
        $at = $files->today->subDays(200)->setTime(14, 0);
        foreach ($first->lines()->get() as $line) {
            $this->confirm->line($first, $line->code, ['outcome' => 'matches', 'figure' => null, 'note' => null], $lead, $at = $at->addMinutes(2));
        }
        $this->confirm->finish($first, null, $lead, $at);
        $second = $this->editions->of($first->refresh(), '2');
        $content = ListContent::of($second);
        $lines = array_map(static fn (LineContent $line): LineContent => $line->need !== 'Tourniquet' ? $line : new LineContent(
            $line->code,
            $line->need,
            $line->rank,
            2,
            null,
            null,
            $line->accepts,
            'Two limbs may be hurt, as the rescue drill showed.',
        ), $content->lines);
        $lines[] = LineContent::ofDocument([
            'id' => 'L'.(count($lines) + 1), 'need' => 'Foil blanket', 'quantity' => 1,
            'accepts' => [['item' => 'foil-blanket'], ['item' => 'rescue-blanket-wool']],
            'reason' => 'Who has bled gets cold, aloft most of all.',
        ]);
        $content = new ListContent(
            $content->title,
            $content->size,
            'Risk assessment of the tree crew after the rescue drill: two limbs may be hurt, and it is cold aloft',
            $content->excludes,
            $lines,
        );
        $this->lists->edit($second, $second->revision, $content);
    }

    /** @param  array<string, Place>  $places */
    private function assessments(DemoFiles $files, User $lead, array $places): void
    {
        foreach (DemoFiles::json('demo/assessments.json')['assessments'] as $about) {
            $started = $files->today->subDays($about['started_days_ago']);
            $made = ($this->start)(
                ['id' => Str::lower((string) Str::ulid($started)), 'title' => $about['title'], 'scheme' => $about['scheme']],
                $lead,
                $started->toDateString(),
            );
            foreach ($about['areas'] as $area) {
                /**
                 * @var array{
                 *     name: string, places: list<string>, hangs_at: string|null, people: int, hazard: string,
                 *     points: int, lone_workers: int, vehicles: int, running_water: bool, children: int,
                 *     minutes_to_help: int, risks: list<string>, note: string|null,
                 * } $answers
                 */
                $answers = [
                    ...array_diff_key($area, ['overrides' => 0]),
                    'places' => array_map(static fn (string $key): string => $places[$key]->id, $area['places']),
                ];
                $known = AssessmentArea::query()->where('assessment_id', $made->id)->where('name', $area['name'])->first();
                $answered = ($this->answer)($made, $known->id ?? Str::lower((string) Str::ulid($started)), $answers, $known->revision ?? 0);
                foreach ($area['overrides'] as $figure) {
                    $this->answer->override(
                        $answered,
                        $figure['plan'],
                        $figure['wanted'],
                        $figure['count'],
                        $figure['reason'],
                        $lead,
                        $files->today->subDays($about['signed_days_ago'])->setTime(11, 30),
                    );
                }
            }
            ($this->sign)(
                $made,
                $about['chosen'],
                $lead->name,
                $lead,
                $files->today->subDays($about['signed_days_ago'])->setTime(12, 0),
                $files->today->subDays($about['signed_days_ago'])->toDateString(),
            );
            foreach ($about['seen'] ?? [] as $seen) {
                $area = AssessmentArea::query()->where('assessment_id', $made->id)->where('name', $seen['area'])->firstOrFail();
                AreaChange::query()->create([
                    'assessment_area_id' => $area->id, 'what' => $seen['what'], 'user_id' => $lead->id,
                    'seen_on' => $files->today->subDays($seen['days_ago'])->toDateString(),
                ]);
            }
        }
    }
}
