<?php

declare(strict_types=1);

namespace App\People;

use App\Accounts\Models\Organisation;
use App\People\Http\FirstAiderResource;
use App\People\Http\PeopleResource;
use App\People\Http\PostingResource;
use App\People\Http\QualificationResource;
use App\People\Models\FirstAider;
use App\People\Models\Posting;
use App\People\Models\Qualification;

/** The first aiders, for who plans alone. What has been kept long enough goes before anything is shown. */
final class ReadPeople
{
    public function __construct(private readonly Organisation $organisation, private readonly Retention $retention)
    {
    }

    public function __invoke(string $today): PeopleResource
    {
        // Who is kept long enough is no longer shown, whether or not the record is deleted yet.
        $people = FirstAider::query()
            ->with(['qualifications', 'postings.place'])
            ->orderBy('name')
            ->get()
            ->reject(fn (FirstAider $one): bool => $this->retention->isOver($one, $today));

        return new PeopleResource(
            (int) $this->organisation->people_kept_days,
            array_values(
                $people
                    ->map(
                        fn (FirstAider $one): FirstAiderResource => new FirstAiderResource(
                            $one->id,
                            $one->name,
                            $one->ended_on,
                            $this->retention->goesOn($one),
                            array_values(
                                $one->qualifications
                                    ->map(
                                        static fn (Qualification $held): QualificationResource => new QualificationResource(
                                            $held->scope->value,
                                            $held->title,
                                            $held->expires_on,
                                            $held->expires_on === null || $held->expires_on >= $today,
                                        ),
                                    )
                                    ->all(),
                            ),
                            array_values(
                                $one->postings
                                    ->map(
                                        static fn (Posting $posting): PostingResource => new PostingResource(
                                            $posting->place_id,
                                            $posting->place->path,
                                            $posting->shift,
                                        ),
                                    )
                                    ->all(),
                            ),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
