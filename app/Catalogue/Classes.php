<?php

declare(strict_types=1);

namespace App\Catalogue;

use Illuminate\Support\Facades\DB;

/** The tree of classes: every class that something names is in it, and so is what lies above it. */
final class Classes
{
    /** What a class may be called: parts of small letters, digits and hyphens, with dots between. */
    public const PATTERN = '/^[a-z0-9][a-z0-9-]*(\.[a-z0-9][a-z0-9-]*)*$/D';

    public function makeAll(): void
    {
        $named = static fn (string $table): array => DB::table($table)->whereNotNull('class')->distinct()
            ->pluck('class')->map(strval(...))->values()->all();
        $this->make([...$named('items'), ...$named('list_exclusions'), ...$named('line_entries')]);
    }

    /** @param  list<string>  $classes */
    public function make(array $classes): void
    {
        $rows = [];
        foreach ($classes as $class) {
            $parts = explode('.', $class);
            for ($length = 1; $length <= count($parts); $length++) {
                $name = implode('.', array_slice($parts, 0, $length));
                $rows[$name] = ['class' => $name, 'title' => ucfirst(str_replace('-', ' ', $parts[$length - 1]))];
            }
        }
        DB::table('item_classes')->insertOrIgnore(array_values($rows));
    }
}
