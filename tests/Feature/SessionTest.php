<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class SessionTest extends TestCase
{
    public function test_guesses_count_for_the_account_however_its_address_is_spelled(): void
    {
        config(['auth.tries_per_minute' => 6]);
        $this->freezeTime();
        $try = fn (string $email, string $password = 'wrong password 1'): int => $this->postJson('/api/session', ['email' => $email, 'password' => $password])
            ->getStatusCode();
        // As the database compares addresses, these are one account.
        $spellings = ['keeper@quillhaven.example', 'Keeper@quillhaven.example', 'kéeper@quillhaven.example', 'keepër@quillhaven.example', 'KÉEPER@quillhaven.example'];
        $answers = [];
        foreach ($spellings as $spelling) {
            $answers[] = $try($spelling);
        }
        $this->assertSame([422, 422, 422, 422, 422], $answers);
        $this->assertSame(429, $try('keepér@quillhaven.example'), 'the sixth has to wait, whatever the spelling');
        $this->assertSame(429, $try('keeper@quillhaven.example', 'lantern-walk-2026'), 'the right one as well, until the wait is over');
        $this->assertSame(422, $try('lead@quillhaven.example'), 'another account does not wait');
        // Each wait is longer than the one before.
        $waits = [];
        for ($time = 0; $time < 5; $time++) {
            $this->travel(301)->seconds();
            $try('keeper@quillhaven.example');
            $waits[] = (int) $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => 'x'])->headers->get('Retry-After');
        }
        $sorted = $waits;
        sort($sorted);
        $this->assertSame($sorted, $waits);
        $this->assertGreaterThan($waits[0], $waits[4]);
        $this->travel(301)->seconds();
        $this->assertSame(200, $try('keeper@quillhaven.example', 'lantern-walk-2026'));
        $this->assertSame(422, $try('keeper@quillhaven.example'), 'who signed in begins anew');
    }

    public function test_a_session_ends_after_a_week_however_busy_it_is(): void
    {
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => 'lantern-walk-2026'])->assertOk();
        for ($day = 1; $day <= 6; $day++) {
            $this->travel(23)->hours();
            $this->getJson('/api/today')->assertOk();
        }
        $this->travel(31)->hours();
        $this->getJson('/api/today')->assertUnauthorized();
        \Illuminate\Support\Facades\Auth::forgetGuards();
        $this->getJson('/api/session')->assertOk()->assertJsonPath('user', null);
    }

    public function test_an_hour_has_only_so_many_guesses(): void
    {
        config(['auth.tries_per_minute' => 6]);
        $this->withoutMiddleware(\Illuminate\Routing\Middleware\ThrottleRequests::class);
        $key = 'sign-in:'.$this->person('keeper')->id;
        for ($guess = 0; $guess < 24; $guess++) {
            \Illuminate\Support\Facades\RateLimiter::hit($key, 3600);
        }
        $body = ['email' => 'keeper@quillhaven.example', 'password' => 'lantern-walk-2026'];
        $this->postJson('/api/session', $body)->assertTooManyRequests();
        $this->travel(61)->minutes();
        $this->postJson('/api/session', $body)->assertOk();
    }

    public function test_an_address_that_nobody_has_takes_as_long_as_one_that_somebody_has(): void
    {
        \Illuminate\Support\Facades\Hash::spy();
        \Illuminate\Support\Facades\Hash::shouldReceive('needsRehash')->andReturn(false);
        \Illuminate\Support\Facades\Hash::shouldReceive('make')->andReturn('nobodys');
        \Illuminate\Support\Facades\Hash::shouldReceive('check')->twice()->andReturn(false);
        foreach (['nobody@quillhaven.example', 'keeper@quillhaven.example'] as $email) {
            $this->postJson('/api/session', ['email' => $email, 'password' => 'wrong password 1'])->assertUnprocessable();
        }
    }

    public function test_who_came_in_and_who_was_refused_is_logged_and_what_was_entered_is_not(): void
    {
        $file = storage_path('logs/security-'.now()->format('Y-m-d').'.log');
        $before = is_file($file) ? (string) file_get_contents($file) : '';
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => 'a secret that is wrong']);
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => 'lantern-walk-2026'])->assertOk();
        $this->deleteJson('/api/session')->assertOk();
        $this->actAs('auditor')->get('/api/exports/catalogue')->assertOk();
        $this->get('/api/kits?format=csv')->assertOk();
        $this->putJson('/api/stores/'.$this->ulid(), ['name' => 'Shed'])->assertForbidden();
        $lead = $this->actAs('lead');
        $link = $lead->postJson('/api/accounts/invitations', ['name' => 'Ada Fell', 'email' => 'ada@tarn.example', 'role' => 'member', 'by_mail' => false])->assertCreated()->json('link');
        $lead->putJson('/api/accounts/'.$this->person('member')->id, ['name' => 'Isolde Varga', 'role' => 'auditor'])->assertOk();
        $lead->putJson('/api/account/password', ['current' => DemoSeeder::PASSWORD, 'password' => 'another secret lantern'])->assertOk();
        $lead->getJson('/api/stores')->assertOk();
        $this->postJson('/api/links/'.basename((string) $link), ['name' => '', 'password' => 'a fourth secret lantern'])->assertOk();
        $said = substr((string) file_get_contents($file), strlen($before));
        $this->assertStringNotContainsString('api/stores"', $said, 'What is only read is not written down.');
        foreach (['invited', 'ada@tarn.example', 'account changed', 'role changed', '"to":"auditor"', 'password changed', 'account made', 'sign-in refused', 'signed in', 'signed out', 'exported', 'GET api/kits', 'GET api/exports/catalogue', 'refused', $this->person('keeper')->id] as $word) {
            $this->assertStringContainsString($word, $said);
        }
        $this->assertStringNotContainsString('secret', $said);
        $this->assertStringNotContainsString('lantern-walk', $said);
        $this->assertSame(0o600, fileperms($file) & 0o777);
    }

    public function test_nobody_is_signed_in_at_first(): void
    {
        $this->getJson('/api/session')->assertOk()->assertJson(['user' => null, 'organisation' => 'Quillhaven Botanic Garden']);
        $this->getJson('/api/today')->assertUnauthorized()->assertHeader('Content-Type', 'application/problem+json')->assertJson(['title' => 'Not signed in']);
    }

    public function test_somebody_signs_in_and_out(): void
    {
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => DemoSeeder::PASSWORD])
            ->assertOk()->assertJson(['user' => ['name' => 'Tobias Renn', 'role' => 'keeper', 'may' => ['check', 'restock', 'report']]]);
        $this->getJson('/api/today')->assertOk();
        $this->deleteJson('/api/session')->assertOk()->assertJson(['user' => null]);
        $this->getJson('/api/today')->assertUnauthorized();
    }

    public function test_a_wrong_password_is_said_at_the_field_without_telling_which_was_wrong(): void
    {
        $wrong = $this->postJson(
            '/api/session',
            ['email' => 'keeper@quillhaven.example', 'password' => 'guess'],
        )->assertUnprocessable()->json('errors');
        $unknown = $this->postJson(
            '/api/session',
            ['email' => 'nobody@quillhaven.example', 'password' => 'guess'],
        )->assertUnprocessable()->json('errors');
        $this->assertSame($wrong, $unknown);
        $this->postJson('/api/session', ['email' => 'keeper'])->assertUnprocessable()->assertJsonValidationErrors(['email', 'password']);
    }

    public function test_guessing_is_throttled(): void
    {
        $this->freezeTime();
        for ($try = 0; $try < 5; $try++) {
            $this->postJson('/api/session', ['email' => 'lead@quillhaven.example', 'password' => "guess {$try}"])->assertUnprocessable();
        }
        $this->postJson('/api/session', ['email' => 'lead@quillhaven.example', 'password' => DemoSeeder::PASSWORD])
            ->assertTooManyRequests()->assertJson(['title' => 'Too many tries'])->assertHeader('Retry-After');
    }

    public function test_passwords_are_hashed(): void
    {
        foreach (DB::table('users')->pluck('password') as $password) {
            $this->assertStringStartsWith('$argon2id$', $password);
        }
    }

    public function test_what_is_not_there_is_a_problem_and_not_the_page(): void
    {
        $this->getJson('/api/nothing')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
        $this->actAs('lead')->getJson('/api/kits/QH-99')->assertNotFound()->assertJson(['title' => 'Not found']);
    }
}
