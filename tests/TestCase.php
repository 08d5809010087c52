<?php

declare(strict_types=1);

namespace Tests;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\VerifyStates;
use App\Kits\Models\Kit;
use App\Ledger\CheckpointFiles;
use App\Stock\Models\Store;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Support\Contract;

/** HTTP against real MariaDB, on the demo data; what a test records is undone after it. */
abstract class TestCase extends FrameworkTestCase
{
    use DatabaseTransactions;

    private static bool $isLoaded = false;

    private bool $isByHand = false;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();
        if (! self::$isLoaded) {
            // The tables are made by their owner; the tests go on as who serves people does.
            Artisan::call('migrate:fresh', ['--force' => true, '--database' => 'owner']);
            Artisan::call('database:grants');
            Artisan::call('database:triggers');
            Artisan::call('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
            self::$isLoaded = true;
        }

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        // What a test records is undone, and so is what was signed for it.
        app(CheckpointFiles::class)->removeAll();
    }

    /** Whatever was done: what is kept of a kit and shown as present is what judging it anew says. A wrong "ready" would be found here. */
    protected function assertPostConditions(): void
    {
        parent::assertPostConditions();
        $organisation = $this->isByHand ? null : Organisation::query()->first();
        if ($organisation !== null) {
            $this->app?->forgetScopedInstances();
            $this->assertSame([], app(VerifyStates::class)($organisation->today()), 'What is kept of a kit is not what judging it anew says.');
        }
    }

    /** This test changes rows behind the application's back, so what is kept need not be true after it. */
    protected function changesRowsByHand(): void
    {
        $this->isByHand = true;
    }

    /**
     * Every answer keeps what the API's description promises.
     *
     * @param  array<mixed>  $parameters
     * @param  array<mixed>  $cookies
     * @param  array<mixed>  $files
     * @param  array<mixed>  $server
     * @return TestResponse<\Illuminate\Http\Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        Contract::hold($method, app(Router::class)->current(), $response->baseResponse);

        return $response;
    }

    protected function actAs(string $role): static
    {
        // Signed in just now, whatever day the test has come to.
        $this->app['session']->forget(\App\Accounts\Http\ActiveAccount::SINCE);

        return $this->actingAs($this->person($role));
    }

    protected function person(string $role): User
    {
        return User::query()->where('role', $role)->firstOrFail();
    }

    protected function kit(string $code): Kit
    {
        return Kit::query()->where('code', $code)->firstOrFail();
    }

    protected function store(): Store
    {
        return Store::query()->firstOrFail();
    }

    /**
     * A new design as its list proposes it, published.
     *
     * @param  array<string, mixed>  $policy  what is otherwise
     * @return string its id
     */
    protected function makeDesign(string $list, string $name, array $policy = []): string
    {
        $start = $this->actAs('lead')->getJson("/api/lists/{$list}/layout")->assertOk()->json('draft');
        $start['policy'] = [...$start['policy'], ...$policy];
        $this->putJson('/api/designs/'.($id = $this->ulid())."/editions/{$this->ulid()}", ['name' => $name, 'draft' => $start])->assertOk();

        return $id;
    }

    protected function ulid(): string
    {
        return Str::lower((string) Str::ulid());
    }

    /** @return array<string, mixed> the kit as the page gets it */
    protected function readKit(string $code): array
    {
        return $this->getJson("/api/kits/{$code}")->assertOk()->json();
    }

    /**
     * A finished full check in which everything is as recorded.
     *
     * @param  array<string, mixed>  $kit
     * @return array<string, mixed>
     */
    protected function asRecorded(array $kit): array
    {
        return [
            'answered' => array_column($kit['verdict']['lines'], 'code'),
            'kit' => $kit['code'], 'kind' => 'full', 'begun_at' => now()->subMinutes(9)->toIso8601ZuluString(), 'base' => $kit['base'], 'signed' => \Illuminate\Support\Facades\Auth::user()->name ?? 'Tobias Renn',
            'rows' => array_map(static fn (array $row): array => [
                'pocket_id' => $row['pocket_id'], 'item' => $row['item'], 'lot' => $row['lot'], 'expires' => $row['expires'], 'quantity' => $row['quantity'], 'condition' => $row['condition'], 'opened_on' => $row['opened_on'],
            ], $kit['contents']),
        ];
    }

    /**
     * @param  array<string, mixed>  $check
     * @return TestResponse<\Illuminate\Http\Response>
     */
    protected function finish(array $check, ?string $id = null): TestResponse
    {
        return $this->putJson('/api/checks/'.($id ?? $this->ulid()), $check);
    }

    /**
     * The place of the first row of that item.
     *
     * @param  array<string, mixed>  $check
     */
    protected function rowOf(array $check, string $item): int
    {
        foreach ($check['rows'] as $index => $row) {
            if ($row['item'] === $item) {
                return $index;
            }
        }
        $this->fail("There is no row of {$item}.");
    }
}
