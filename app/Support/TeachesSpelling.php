<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Teaches the finder the words of a model's new name.
 *
 * @property string $name
 */
trait TeachesSpelling
{
    protected static function bootTeachesSpelling(): void
    {
        static::saved(static function (self $saved): void {
            if ($saved->wasRecentlyCreated || $saved->wasChanged('name')) {
                Spelling::learn(Spelling::words($saved->name));
            }
        });
    }
}
