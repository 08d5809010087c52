<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Catalogue\Catalogue;
use Illuminate\Database\Seeder;

/** What an organisation of one's own begins with, where it wants it: generic items, starter lists and modules, all unconfirmed. */
final class ReferenceSeeder extends Seeder
{
    public function run(): void
    {
        $catalogue = new CatalogueLoader;
        $catalogue->items(false);
        $lists = new ListLoader;
        $lists->starters();
        $lists->house(['reference/house-lists.json']);
        $catalogue->classes();
        app(Catalogue::class)->forget();
    }
}
