<?php

declare(strict_types=1);

namespace App\Lists;

use App\Lists\Models\KitList;
use Illuminate\Validation\ValidationException;

/** Begins a new edition of a list, or a house list of one's own, from what an edition says. */
final class NewEdition
{
    public function __construct(private readonly WriteList $write)
    {
    }

    /** A new edition under the same code: unconfirmed, and its lines keep their codes, so that what moved can be told. */
    public function of(KitList $list, string $edition): KitList
    {
        if (KitList::query()->where('code', $list->code)->where('edition', $edition)->exists()) {
            throw ValidationException::withMessages([
                'edition' => "There is an edition {$edition} of this list already. Choose another name for the new one.",
            ]);
        }

        return $this->write->create(
            ['code' => $list->code, 'edition' => $edition, 'origin' => $list->origin, 'kind' => $list->kind, 'supersedes_id' => $list->id],
            ListContent::of($list),
        );
    }

    /** A house list copied from another, to be changed line by line. */
    public function houseList(KitList $from, string $code, string $title): KitList
    {
        $name = $from->name().", edition {$from->edition}";

        $content = ListContent::of($from);

        return $this->write->create(
            ['code' => $code, 'edition' => '1', 'origin' => 'house', 'kind' => $from->kind, 'copied_from_id' => $from->id],
            new ListContent(
                $title, null, mb_substr("Copied from {$name} ({$from->basis})", 0, 200), $content->excludes, $content->lines, $content->madeFor,
            ),
        );
    }
}
