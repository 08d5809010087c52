<?php

declare(strict_types=1);

namespace App\Designs;

use App\Assess\Wanted;
use App\Designs\Draft\Draft;
use App\Designs\Edition\CompartmentContent;
use App\Designs\Edition\EditionContent;
use App\Designs\Edition\ReadEdition;
use App\Designs\Models\Design;
use App\Designs\Models\DesignEdition;
use App\Lists\Models\KitList;
use App\Support\DoneAtTheSameMoment;
use App\Support\Stale;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Publishes a design as somebody packed it: the first edition of a new one, or the next one of one that is there. */
final class PublishDraft
{
    public function __construct(
        private readonly DesignFaults $faults,
        private readonly PublishEdition $publish,
        private readonly ReadEdition $read,
    ) {
    }

    /**
     * Sent twice, one edition is published.
     *
     * @param  string  $edition  the id that it gets
     * @param  string|null  $base  the edition that it was begun from
     * @param  string|null  $serves  of a new design: the risk that a module of it is for
     *
     * @throws Stale where another edition was published meanwhile
     * @throws ValidationException
     */
    public function __invoke(
        string $id, string $edition, ?string $base, string $name, ?string $serves, Draft $draft, CarbonInterface $at,
    ): DesignEdition {
        return Transaction::run(function () use ($id, $edition, $base, $name, $serves, $draft, $at): DesignEdition {
            $design = Design::query()->where('id', $id)->lockForUpdate()->first();
            $known = DesignEdition::query()->find($edition);
            if ($known !== null) {
                return $this->again($known, $id, $draft);
            }
            $latest = $design?->latest()->first();
            if ($latest?->id !== $base) {
                throw new Stale($latest === null
                    ? "{$name} is not there any more. Make a new design of what you have."
                    : "Edition {$latest->number} of {$design?->name} was published meanwhile. See what changed, and join both.", [], 0);
            }
            $content = $draft->content();
            $this->refuse($design, $name, $serves, $content);
            $design = $this->design($design, $id, $name, $serves);

            return ($this->publish)($design, $content, $at, $edition);
        });
    }

    /** Sent again it is answered alike; what was changed since it arrived is not taken for it. */
    private function again(DesignEdition $known, string $id, Draft $draft): DesignEdition
    {
        if ($known->design_id !== $id) {
            throw ValidationException::withMessages(['draft' => 'This edition belongs to another design. Open the page again.']);
        }
        if (! Draft::of(($this->read)($known))->saysAs($draft)) {
            throw new Stale("Edition {$known->number} was published as you sent it before. See what you changed since, and join both.", [], 0);
        }

        return $known;
    }

    private function refuse(?Design $design, string $name, ?string $serves, EditionContent $content): void
    {
        $errors = [];
        if ($name === '') {
            $errors['name'] = 'Give the design a name, such as "Office box", in at most 120 characters.';
        }
        if ($design?->retired_on !== null) {
            $errors['draft'] = "{$design->name} is no longer used. Make a new design of it.";
        }
        if ($serves !== null && (! in_array($serves, Wanted::all(), true) || ! Wanted::isModule($serves))) {
            $errors['serves'] = 'Choose what the module is for.';
        }
        $list = KitList::query()->with('lines')->findOrFail($content->listId);
        $faults = $this->faults->of($content, $list, Design::codesBeside($design));
        if ($content->policy->everyUnit === null && $content->seasons === [] && ! $content->policy->beforeEvents) {
            $faults[] = 'Kits of this design would never be checked. Say after how long, or before which events.';
        }
        $strange = DB::table('pockets')->whereIn('id', array_map(
            static fn (CompartmentContent $one): string => (string) $one->id, array_values(CompartmentContent::byPath($content->leaves)),
        ))->when($design, fn ($all) => $all->where('design_id', '!=', $design?->id))->exists();
        if ($strange) {
            $faults[] = 'A pocket of this design belongs to another design. Open the page again, and pack it anew.';
        }
        if ($errors !== [] || $faults !== []) {
            throw ValidationException::withMessages([...$errors, ...($faults === [] ? [] : ['draft' => $faults])]);
        }
    }

    private function design(?Design $design, string $id, string $name, ?string $serves): Design
    {
        try {
            if ($design !== null) {
                $design->update(['name' => $name]);

                return $design;
            }

            return Design::query()->create(['id' => $id, 'code' => self::code($name), 'name' => $name, 'serves' => $serves]);
        } catch (UniqueConstraintViolationException) {
            throw new DoneAtTheSameMoment;
        }
    }

    private static function code(string $name): string
    {
        $slug = Str::limit(Str::slug($name) ?: 'design', 50, '');
        for ($number = 1, $code = $slug; Design::query()->where('code', $code)->exists(); $code = "{$slug}-".++$number);

        return $code;
    }
}
