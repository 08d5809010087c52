<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Assess\Models\Assessment;
use App\Judging\JudgeMarked;
use App\Stock\Models\Store;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** How many queries a screen asks does not depend on how many kits there are. */
final class QueryCountTest extends TestCase
{
    /** @return iterable<string, array{string, int}> the screen, and how many it may ask */
    public static function screens(): iterable
    {
        foreach ([
            '/today' => 12, '/places' => 12, '/kits' => 12, '/kits?sort=due&work=check_later&q=box' => 12, '/choices/items' => 12, '/items/foil-blanket/lots' => 12, '/choices/lists' => 12, '/find?q=box' => 12, '/kits/QH-16' => 12, '/kits/QH-16/history' => 12, '/kits/QH-16/restock' => 12,
            '/items' => 12, '/items/foil-blanket' => 12, '/classes' => 12, '/lists' => 12, '/designs' => 12, '/stores' => 12, '/stores/first' => 12, '/shifts' => 12, '/assessments' => 12,
            '/assessments/latest' => 22, '/people' => 12, '/cover' => 12, '/unsettled' => 12, '/organisation' => 12, '/asks' => 12, '/choices' => 12,
        ] as $screen => $most) {
            yield $screen => [$screen, $most];
        }
    }

    #[DataProvider('screens')]
    public function test_a_screen_asks_as_much_of_many_kits_as_of_few(string $screen, int $most): void
    {
        $this->actAs('lead');
        $this->app?->call([new JudgeMarked, 'handle']);
        $screen = str_replace('latest', Assessment::query()->orderBy('started_on', 'desc')->firstOrFail()->id, $screen);
        $screen = str_replace('first', Store::query()->firstOrFail()->id, $screen);
        $few = $this->queries($screen);
        Artisan::call('fleet:make', ['kits' => 57]);
        $many = $this->queries($screen);
        $this->assertLessThanOrEqual(count($few), count($many), implode("\n", $many));
        $this->assertLessThanOrEqual($most, count($many), implode("\n", $many));
    }

    /** @return list<string> */
    private function queries(string $screen): array
    {
        $this->app?->forgetScopedInstances();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson("/api{$screen}")->assertOk();
        DB::disableQueryLog();

        return array_values(array_map(static fn (array $one): string => $one['query'], DB::getQueryLog()));
    }
}
