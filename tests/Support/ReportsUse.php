<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Accounts\Models\Organisation;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Ledger\Verification\Verify;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Testing\TestResponse;

/** Reports what was used as somebody does who has no account, by the second code on a label; the record is whole afterwards. */
trait ReportsUse
{
    protected function setUp(): void
    {
        parent::setUp();
        RateLimiter::clear(md5('reportsreports|127.0.0.1'));
        // Of the demo's own report nothing is asked here.
        DB::table('kit_report_rows')->delete();
        DB::table('kit_reports')->delete();
        $waiting = Kit::query()->where('open_reports', '>', 0)->get();
        DB::table('kits')->update(['open_reports' => 0]);
        foreach ($waiting as $kit) {
            app(KitStates::class)->renew($kit->refresh(), Organisation::current()->today());
        }
    }

    protected function tearDown(): void
    {
        $this->assertSame([], app(Verify::class)()->faults);
        parent::tearDown();
    }

    private function code(string $kit): string
    {
        $address = $this->actAs('lead')->postJson("/api/kits/{$kit}/report-code")->assertOk()->json('address');

        return substr((string) strrchr($address, '/'), 1);
    }

    private function signOut(): void
    {
        Auth::forgetGuards();
        $this->app['auth']->logout();
    }

    /**
     * @param  array<string, int>  $pieces
     * @return TestResponse<\Illuminate\Http\Response>
     */
    private function report(string $token, array $pieces, ?string $id = null): TestResponse
    {
        return $this->putJson("/api/reports/{$token}/".($id ?? $this->ulid()), [
            'items' => array_map(static fn (string $item, int $count): array => ['item' => $item, 'pieces' => $count], array_keys($pieces), $pieces),
        ]);
    }
}
