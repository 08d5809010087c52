<?php

declare(strict_types=1);

namespace App\Support\Listing;

use Illuminate\Database\Query\Builder;
use OpenApi\Attributes as OA;
use stdClass;

/** Which page of a list this is. */
#[OA\Schema]
final readonly class PageOf
{
    public const ROWS = 50;

    public function __construct(
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(description: 'rows in all')]
        public int $in_all,
    ) {
    }

    /**
     * @param  Builder  $rows  in their order
     * @param  list<string>  $columns
     * @return array{list<stdClass>, self} the rows of that page; the last one where there are not so many
     */
    public static function read(Builder $rows, int $page, array $columns): array
    {
        // The order does not change how many there are.
        $inAll = $rows->clone()->reorder()->count();
        $pages = max(1, (int) ceil($inAll / self::ROWS));
        $page = min($page, $pages);

        return [
            array_values($rows->clone()->offset(($page - 1) * self::ROWS)->limit(self::ROWS)->get($columns)->all()),
            new self($page, $pages, $inAll),
        ];
    }
}
