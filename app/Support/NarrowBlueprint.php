<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\Schema\Blueprint;

/** Ids are ULIDs in small letters: kept in one byte a character and compared as bytes. */
final class NarrowBlueprint extends Blueprint
{
    /**
     * @param  string  $column
     * @param  int|null  $length
     */
    public function ulid($column = 'ulid', $length = 26): \Illuminate\Database\Schema\ColumnDefinition
    {
        return parent::ulid($column, $length)->charset('ascii')->collation('ascii_bin');
    }

    /**
     * @param  string  $column
     * @param  int|null  $length
     */
    public function foreignUlid($column, $length = 26): \Illuminate\Database\Schema\ForeignIdColumnDefinition
    {
        return parent::foreignUlid($column, $length)->charset('ascii')->collation('ascii_bin');
    }
}
