<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Catalogue\Catalogue;
use App\Cope\ShippedEmergencies;
use App\Lists\TakesReference;
use Illuminate\Database\Seeder;

/** What an organisation of one's own begins with, as much of it as it wants: generic items, starter lists and modules, all unconfirmed. */
final class ReferenceSeeder extends Seeder implements TakesReference
{
    public function run(): void
    {
        $this->take(true, null);
    }

    public function take(bool $allItems, ?array $lists): void
    {
        $catalogue = new CatalogueLoader;
        $catalogue->items(false, $allItems ? null : ListLoader::itemsOf($lists));
        $loader = new ListLoader($lists);
        $loader->starters();
        $loader->house(['reference/house-lists.json']);
        $catalogue->classes();
        app(Catalogue::class)->forget();
        app(ShippedEmergencies::class)->fit();
    }

    public function lists(): array
    {
        return ListLoader::offered();
    }

    public function items(): int
    {
        return count(DemoFiles::named('items'));
    }
}
