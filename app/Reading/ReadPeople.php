<?php

declare(strict_types=1);

namespace App\Reading;

use App\Actions\KeepPeople;
use App\Http\Resources\FirstAiderResource;
use App\Http\Resources\PeopleResource;
use App\Http\Resources\PostingResource;
use App\Http\Resources\QualificationResource;
use App\Models\FirstAider;
use App\Models\Organisation;
use App\Models\Posting;
use App\Models\Qualification;
use App\Support\Transaction;
use Carbon\CarbonImmutable;

/** The first aiders, for who plans alone. What has been kept long enough goes before anything is shown. */
final class ReadPeople
{
    public function __construct(private readonly Organisation $organisation, private readonly KeepPeople $keep)
    {
    }

    public function __invoke(string $today): PeopleResource
    {
        $this->forget($today);
        $people = FirstAider::query()->with(['qualifications', 'postings.place'])->orderBy('name')->get();

        return new PeopleResource((int) $this->organisation->people_kept_days, array_values($people->map(fn (FirstAider $one): FirstAiderResource => new FirstAiderResource(
            $one->id, $one->name, $one->ended_on, $this->goesOn($one),
            array_values($one->qualifications->map(static fn (Qualification $held): QualificationResource => new QualificationResource($held->scope, $held->title, $held->expires_on, $held->expires_on === null || $held->expires_on >= $today))->all()),
            array_values($one->postings->map(static fn (Posting $posting): PostingResource => new PostingResource($posting->place_id, $posting->place->path, $posting->shift))->all()),
        ))->all()));
    }

    /** Deletes the records of who ended, or whose last qualification ran out, longer ago than records are kept; says how many. */
    public function forget(string $today): int
    {
        $gone = FirstAider::query()->with('qualifications')->get()->filter(fn (FirstAider $one): bool => ($this->goesOn($one) ?? '9999') <= $today);
        Transaction::run(fn () => $gone->each(fn (FirstAider $one) => $this->keep->remove($one)));

        return $gone->count();
    }

    /** The day on which the record goes; null while somebody is valid, or was never qualified and has not ended. */
    private function goesOn(FirstAider $one): ?string
    {
        $ends = array_filter([$one->ended_on, $one->qualifications->isNotEmpty() && $one->qualifications->every(static fn (Qualification $held): bool => $held->expires_on !== null) ? $one->qualifications->max('expires_on') : null]);

        return $ends === [] ? null : CarbonImmutable::parse(min($ends))->addDays((int) $this->organisation->people_kept_days + 1)->toDateString();
    }
}
