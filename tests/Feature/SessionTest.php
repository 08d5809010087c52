<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class SessionTest extends TestCase
{
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
        for ($try = 0; $try < 6; $try++) {
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
