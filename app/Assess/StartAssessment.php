<?php

declare(strict_types=1);

namespace App\Assess;

use App\Accounts\Models\User;
use App\Assess\Models\Assessment;
use App\Support\Transaction;
use Illuminate\Validation\ValidationException;

/** Begins an assessment: an empty one, or one that goes on from what the last says. One is under way at a time. */
final class StartAssessment
{
    /** @param  array{id: string, title: string, scheme: string}  $about */
    public function __invoke(array $about, User $by, string $day): Assessment
    {
        return Transaction::run(function () use ($about, $by, $day): Assessment {
            $known = Assessment::query()->find($about['id']);
            if ($known !== null) {
                return $known;
            }
            $open = Assessment::query()->where('signed_on', null)->lockForUpdate()->first();
            if ($open !== null) {
                throw ValidationException::withMessages([
                    'title' => "\"{$open->title}\" is under way. Go on with that, and sign it before you begin another.",
                ]);
            }
            $last = Assessment::query()
                ->with(['areas.places', 'areas.risks', 'areas.overrides'])
                ->orderBy('signed_on', 'desc')
                ->orderBy('id', 'desc')
                ->first();
            $made = Assessment::query()->create([
                ...$about,
                'scheme' => $last->scheme ?? $about['scheme'],
                'follows_id' => $last?->id,
                'started_by_id' => $by->id,
                'started_on' => $day,
            ]);
            foreach ($last->areas ?? [] as $area) {
                $copy = $made
                    ->areas()
                    ->create([
                        ...array_diff_key($area->getAttributes(), array_flip(['id', 'assessment_id', 'revision'])),
                        'follows_id' => $area->id,
                    ]);
                foreach ($area->places as $place) {
                    $copy->places()->attach($place->id, ['position' => $place->getRelationValue('pivot')->position]);
                }
                $copy->risks()->createMany($area->risks->map(static fn ($risk): array => ['risk' => $risk->risk])->all());
                $copy
                    ->overrides()
                    ->createMany(
                        $area->overrides
                            ->map(
                                static fn ($override): array => array_diff_key($override->getAttributes(), ['id' => 0, 'assessment_area_id' => 0]),
                            )
                            ->all(),
                    );
            }

            return $made;
        });
    }
}
