<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Mail\LinkMail;
use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\SecondFactor;
use App\Accounts\StrongPassword;
use App\Accounts\Totp;
use Illuminate\Mail\SendQueuedMailable;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Accounts: invited, given a role, ended; passwords, second factors, sessions; mail that goes to the tray. */
final class AccountTest extends TestCase
{
    private const PASSWORD = 'three green lanterns';

    public function test_somebody_is_invited_by_mail_and_the_link_works_once(): void
    {
        $invited = $this->actAs('lead')->postJson('/api/accounts/invitations', [
            'name' => 'Nadia Ferro', 'email' => 'Nadia@quillhaven.example', 'role' => 'keeper', 'by_mail' => true,
        ])->assertCreated()->json();
        $this->assertSame(['nadia@quillhaven.example'], array_column($invited['invitations'], 'email'));
        $mail = $this->getJson('/api/mail')->assertOk()->json();
        $this->assertSame([true, 'nadia@quillhaven.example', 'Your account at Quillhaven Botanic Garden'], [$mail['is_used'], $mail['messages'][0]['recipient'], $mail['messages'][0]['subject']]);
        $this->assertStringContainsString($invited['link'], $mail['messages'][0]['body']);
        $secret = basename($invited['link']);
        $this->app['auth']->forgetGuards();
        $this->getJson("/api/links/{$secret}")->assertOk()->assertJson(['kind' => 'invitation', 'name' => 'Nadia Ferro', 'role' => 'keeper']);
        $this->postJson("/api/links/{$secret}", ['password' => 'short'])->assertUnprocessable();
        $this->postJson("/api/links/{$secret}", ['password' => self::PASSWORD])->assertOk();
        $this->getJson("/api/links/{$secret}")->assertNotFound();
        $this->postJson("/api/links/{$secret}", ['password' => self::PASSWORD])->assertNotFound();
        $this->postJson('/api/session', ['email' => 'nadia@quillhaven.example', 'password' => self::PASSWORD])->assertOk()->assertJsonPath('user.role', 'keeper');
        $this->assertSame(0, DB::table('account_links')->where('hash', $secret)->count(), 'Only its hash is kept.');
    }

    public function test_a_mail_waits_encrypted_for_the_worker_so_that_no_mail_server_fails_an_invitation(): void
    {
        Queue::fake();
        config(['mail.default' => 'smtp', 'mail.mailers.smtp' => ['transport' => 'smtp', 'host' => '127.0.0.1', 'port' => 1, 'timeout' => 1]]);
        $sent = ['name' => 'Ada Fell', 'email' => 'ada@tarn.example', 'role' => 'keeper', 'by_mail' => true];
        $this->assertNotNull($this->actAs('lead')->postJson('/api/accounts/invitations', $sent)->assertCreated()->json('link'));
        Queue::assertPushed(SendQueuedMailable::class, static fn (SendQueuedMailable $job): bool => $job->mailable instanceof LinkMail
            && $job->shouldBeEncrypted === true && $job->tries === 50);
        $this->postJson('/api/password-links', ['email' => 'keeper@quillhaven.example'])->assertNoContent();
        Queue::assertPushed(SendQueuedMailable::class, static fn (SendQueuedMailable $job): bool => $job->tries === 4 && $job->shouldBeEncrypted === true);
    }

    public function test_an_invitation_ends_after_seven_days_and_can_be_withdrawn(): void
    {
        $invite = fn (): array => $this->actAs('lead')->postJson('/api/accounts/invitations', [
            'name' => 'Nadia Ferro', 'email' => 'nadia@quillhaven.example', 'role' => 'member', 'by_mail' => false,
        ])->assertCreated()->json();
        $first = basename($invite()['link']);
        $second = $invite();
        $this->getJson("/api/links/{$first}")->assertNotFound();
        $this->assertCount(1, $second['invitations']);
        $this->travel(8)->days();
        $this->getJson('/api/links/'.basename($second['link']))->assertNotFound();
        $this->travelBack();
        $this->assertSame([], $this->deleteJson("/api/accounts/invitations/{$second['invitations'][0]['id']}")->assertOk()->json('invitations'));
        $this->getJson('/api/links/'.basename($second['link']))->assertNotFound();
        $this->postJson('/api/accounts/invitations', ['name' => 'X', 'email' => 'keeper@quillhaven.example', 'role' => 'member', 'by_mail' => false])
            ->assertUnprocessable()->assertJsonPath('errors.email.0', 'There is an account with this address already.');
    }

    public function test_there_is_always_an_active_lead(): void
    {
        $lead = $this->person('lead');
        $this->actAs('lead')->putJson("/api/accounts/{$lead->id}", ['name' => $lead->name, 'role' => 'member'])->assertUnprocessable()
            ->assertJsonPath('errors.role.0', 'Maren Oduya is the only lead: somebody else has to be one first.');
        $this->putJson("/api/accounts/{$lead->id}/deactivation", ['hand_over_to' => $this->person('keeper')->id])->assertUnprocessable();
        $this->putJson("/api/accounts/{$this->person('keeper')->id}", ['name' => 'Tobias Renn', 'role' => 'lead'])->assertOk();
        $this->putJson("/api/accounts/{$lead->id}/deactivation", ['hand_over_to' => null])->assertUnprocessable()
            ->assertJsonPath('errors.hand_over_to.0', 'Maren Oduya is responsible for kits or has open tasks. Choose who takes them over.');
    }

    public function test_who_leaves_hands_over_their_kits_and_tasks_and_is_out_at_once(): void
    {
        [$lead, $keeper] = [$this->person('lead'), $this->person('keeper')];
        DB::table('sessions')->insert(['id' => str_repeat('a', 40), 'user_id' => $keeper->id, 'payload' => '', 'last_activity' => time()]);
        $accounts = $this->actAs('lead')->putJson("/api/accounts/{$keeper->id}/deactivation", ['hand_over_to' => $lead->id])->assertOk()->json('accounts');
        $this->assertNotNull(collect($accounts)->firstWhere('id', $keeper->id)['deactivated_on']);
        $this->assertSame([0, 0, 0], [
            DB::table('kits')->where('responsible_id', $keeper->id)->orWhere('deputy_id', $keeper->id)->count(),
            DB::table('kit_tasks')->where('user_id', $keeper->id)->where('state', 'open')->count(), DB::table('sessions')->where('user_id', $keeper->id)->count(),
        ]);
        $this->assertSame(0, DB::table('kits')->whereColumn('responsible_id', 'deputy_id')->count(), 'Nobody is their own deputy.');
        $this->assertStringContainsString('Tobias Renn', (string) $this->getJson('/api/kits/QH-07/history')->getContent(), 'Records keep the name.');
        $this->actingAs($keeper->refresh())->getJson('/api/today')->assertUnauthorized();
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/session', ['email' => $keeper->email, 'password' => \Database\Seeders\DemoSeeder::PASSWORD])->assertUnprocessable();
        $this->actAs('lead')->putJson("/api/accounts/{$keeper->id}/activation")->assertOk();
        $this->actingAs($keeper->refresh())->getJson('/api/today')->assertOk();
    }

    public function test_a_forgotten_password_is_set_anew_by_mail_and_it_is_not_told_who_has_an_account(): void
    {
        $this->postJson('/api/password-links', ['email' => 'nobody@quillhaven.example'])->assertNoContent();
        $this->postJson('/api/password-links', ['email' => 'keeper@quillhaven.example'])->assertNoContent();
        $messages = DB::table('mail_tray')->get();
        $this->assertSame(['keeper@quillhaven.example'], $messages->pluck('recipient')->all());
        preg_match('#/welcome/(\S+)#', (string) $messages[0]->body, $link);
        $this->postJson("/api/links/{$link[1]}", ['password' => self::PASSWORD])->assertOk();
        $this->postJson("/api/links/{$link[1]}", ['password' => self::PASSWORD])->assertNotFound();
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => self::PASSWORD])->assertOk();
    }

    public function test_a_link_that_is_asked_for_again_does_not_void_one_that_was_sent_just_now(): void
    {
        $ask = fn () => $this->postJson('/api/password-links', ['email' => 'keeper@quillhaven.example'])->assertNoContent();
        $ask();
        $this->travel(4)->minutes();
        $ask();
        $links = fn (): array => DB::table('mail_tray')->orderBy('id')->pluck('body')
            ->map(static fn (string $body): string => preg_match('#/welcome/(\\S+)#', $body, $link) === 1 ? $link[1] : '')->all();
        [$first, $second] = $links();
        $this->getJson("/api/links/{$first}")->assertOk();
        $this->postJson("/api/links/{$second}", ['password' => self::PASSWORD])->assertOk();
        $this->postJson("/api/links/{$first}", ['password' => self::PASSWORD])->assertNotFound();
        $ask();
        $this->travel(6)->minutes();
        $ask();
        $this->getJson("/api/links/{$links()[2]}")->assertNotFound();
    }

    public function test_a_link_leads_to_the_address_that_was_set_whatever_the_request_claims(): void
    {
        $this->withServerVariables(['HTTP_HOST' => 'evil.example:9999', 'SERVER_NAME' => 'evil.example', 'SERVER_PORT' => 9999])
            ->postJson('http://evil.example:9999/api/password-links', ['email' => 'keeper@quillhaven.example'])->assertNoContent();
        $body = (string) DB::table('mail_tray')->value('body');
        $this->assertStringContainsString(config('app.url').'/welcome/', $body);
        $this->assertStringNotContainsString('evil', $body);
    }

    public function test_a_second_factor_is_set_up_asked_for_and_no_code_is_good_twice(): void
    {
        $keeper = $this->person('keeper');
        $this->actAs('keeper');
        $secret = $this->postJson('/api/account/factor')->assertOk()->json('secret');
        $this->putJson('/api/account/factor', ['code' => '000000'])->assertUnprocessable();
        $step = intdiv(now()->getTimestamp(), 30);
        $own = $this->putJson('/api/account/factor', ['code' => Totp::code($secret, $step)])->assertOk()->json();
        $this->assertSame([true, 10], [$own['has_factor'], count($own['recovery_codes'])]);
        $this->assertNull($this->getJson('/api/account')->json('recovery_codes'), 'They are shown once.');
        $this->assertNotSame($secret, $keeper->refresh()->factor_secret);
        $this->assertSame($secret, Crypt::decryptString((string) $keeper->factor_secret));

        $this->app['auth']->forgetGuards();
        $sign = fn (?string $code) => $this->postJson('/api/session', ['email' => $keeper->email, 'password' => \Database\Seeders\DemoSeeder::PASSWORD, 'code' => $code]);
        $sign(null)->assertUnprocessable()->assertJsonPath('errors.code.0', fn (string $text): bool => str_contains($text, 'six figures'));
        $sign(Totp::code($secret, $step))->assertUnprocessable();
        $this->travel(60)->seconds();
        $sign(Totp::code($secret, $step + 2))->assertOk();
        $sign(Totp::code($secret, $step + 2))->assertUnprocessable();
        $sign($own['recovery_codes'][3])->assertOk();
        $sign($own['recovery_codes'][3])->assertUnprocessable();
        $this->assertSame(9, SecondFactor::codesLeft($keeper));
        $this->actAs('lead')->deleteJson("/api/accounts/{$keeper->id}/factor")->assertOk();
        $this->app['auth']->forgetGuards();
        $sign(null)->assertOk();
    }

    public function test_whoever_sits_at_an_open_session_neither_takes_the_second_factor_off_nor_puts_another_in_its_place(): void
    {
        $this->actAs('keeper');
        $begin = fn (): string => $this->postJson('/api/account/factor')->assertOk()->json('secret');
        $old = $begin();
        $step = intdiv(now()->getTimestamp(), 30);
        $codes = $this->putJson('/api/account/factor', ['code' => Totp::code($old, $step)])->assertOk()->json('recovery_codes');
        $new = $begin();
        $this->assertNotSame($old, $new);
        $password = \Database\Seeders\DemoSeeder::PASSWORD;
        $this->travel(60)->seconds();
        $replace = fn (array $sent) => $this->putJson('/api/account/factor', ['code' => Totp::code($new, $step + 2), ...$sent]);
        $replace([])->assertUnprocessable()->assertJsonValidationErrors(['password', 'old_code']);
        $replace(['password' => $password, 'old_code' => '000000'])->assertUnprocessable()->assertJsonValidationErrors('old_code');
        $this->deleteJson('/api/account/factor', ['password' => $password])->assertUnprocessable()->assertJsonValidationErrors('old_code');
        $this->assertSame($old, Crypt::decryptString((string) $this->person('keeper')->factor_secret));
        $replace(['code' => '111111', 'password' => $password, 'old_code' => $codes[0]])->assertUnprocessable()->assertJsonValidationErrors('code');
        $replace(['password' => $password, 'old_code' => $codes[0]])->assertOk();
        $this->assertSame($new, Crypt::decryptString((string) $this->person('keeper')->factor_secret));
        $this->travel(60)->seconds();
        $this->deleteJson('/api/account/factor', ['password' => $password, 'old_code' => Totp::code($new, $step + 4)])->assertOk()->assertJsonPath('has_factor', false);
    }

    public function test_guesses_in_an_open_session_are_slowed_and_logged(): void
    {
        config(['auth.tries_per_minute' => 6]);
        $this->actAs('keeper');
        $answers = [];
        for ($guess = 0; $guess < 12; $guess++) {
            $answers[] = $this->putJson('/api/account/password', ['current' => "guess {$guess}", 'password' => self::PASSWORD])->status();
        }
        $this->assertSame(422, $answers[0]);
        $this->assertSame(429, end($answers));
        $this->assertStringContainsString('refused in an open session', (string) file_get_contents(collect(glob(storage_path('logs/security-*.log')) ?: [])->last()));
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/session', ['email' => 'keeper@quillhaven.example', 'password' => \Database\Seeders\DemoSeeder::PASSWORD])->assertOk();
    }

    public function test_where_everybody_needs_a_second_factor_nothing_else_is_open_before_it(): void
    {
        Organisation::query()->update(['factor_required' => true]);
        $this->actAs('keeper')->getJson('/api/today')->assertForbidden();
        $this->getJson('/api/session')->assertJsonPath('user.needs_factor', true);
        $secret = $this->postJson('/api/account/factor')->assertOk()->json('secret');
        $this->putJson('/api/account/factor', ['code' => Totp::code($secret, intdiv(now()->getTimestamp(), 30))])->assertOk();
        $this->actingAs($this->person('keeper')->refresh())->getJson('/api/today')->assertOk();
    }

    public function test_ones_password_is_changed_and_other_sessions_end(): void
    {
        $keeper = $this->person('keeper');
        DB::table('sessions')->insert(['id' => str_repeat('b', 40), 'user_id' => $keeper->id, 'payload' => '', 'last_activity' => time(), 'user_agent' => 'Mozilla/5.0 (Android 14) Firefox/130.0', 'ip_address' => '10.0.0.7']);
        $sessions = $this->actAs('keeper')->getJson('/api/account')->assertOk()->json('sessions');
        $this->assertSame(['Firefox on Android', '10.0.0.7', false], [$sessions[0]['device'], $sessions[0]['address'], $sessions[0]['is_this']]);
        $this->assertNotSame(str_repeat('b', 40), $sessions[0]['id'], 'It is not named by what lets one in.');
        $change = fn (string $current, string $password) => $this->putJson('/api/account/password', ['current' => $current, 'password' => $password]);
        $change('wrong', self::PASSWORD)->assertUnprocessable()->assertJsonPath('errors.current.0', fn (string $text): bool => str_starts_with($text, 'This is not your password'));
        $change(\Database\Seeders\DemoSeeder::PASSWORD, 'tobias renn 12')->assertUnprocessable();
        $change(\Database\Seeders\DemoSeeder::PASSWORD, self::PASSWORD)->assertOk();
        $this->assertSame(0, DB::table('sessions')->where('id', str_repeat('b', 40))->count());
        DB::table('sessions')->insert(['id' => str_repeat('c', 40), 'user_id' => $keeper->id, 'payload' => '', 'last_activity' => time()]);
        $id = $this->getJson('/api/account')->json('sessions.0.id');
        $this->deleteJson("/api/account/sessions/{$id}")->assertOk();
        $this->assertSame(0, DB::table('sessions')->where('user_id', $keeper->id)->count());
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'three words' => [self::PASSWORD, true];
        yield 'eleven characters' => ['abc def ghi', false];
        yield 'a common one' => ['password1234', false];
        yield 'a common one with signs' => ['Pass-Word-1234!', false];
        yield 'a row of keys' => ['qwertyuiop1234', false];
        yield 'one sign again and again' => ['ababababababab', false];
        yield 'the own name' => ['Tobias-Renn-2026', false];
        yield 'the organisation' => ['quillhaven2026', false];
    }

    #[DataProvider('passwords')]
    public function test_what_a_password_must_be(string $password, bool $isGood): void
    {
        $rule = new StrongPassword(['Tobias Renn', 'keeper@quillhaven.example', 'Quillhaven Botanic Garden']);
        $this->assertSame($isGood, $rule->fault($password) === null, (string) $rule->fault($password));
    }

    public function test_the_codes_are_those_of_the_standard(): void
    {
        // RFC 6238, appendix B, SHA-1, the last six of its eight figures.
        $secret = Totp::encode('12345678901234567890');
        foreach ([59 => '287082', 1111111109 => '081804', 1111111111 => '050471', 1234567890 => '005924', 2000000000 => '279037', 20000000000 => '353130'] as $time => $code) {
            $this->assertSame($code, Totp::code($secret, intdiv($time, 30)));
        }
        $this->assertSame('12345678901234567890', Totp::decode($secret));
        $this->assertNull(Totp::stepOf($secret, '287082', 59, 1), 'It was used.');
        $this->assertNull(Totp::stepOf($secret, '287082', 59 + 90, null), 'It is old.');
        $this->assertSame(1, Totp::stepOf($secret, '287082', 59 + 30, null));
    }

    public function test_another_role_ends_the_sessions_and_takes_effect_at_once(): void
    {
        $member = $this->person('member');
        DB::table('sessions')->insert(['id' => str_repeat('d', 40), 'user_id' => $member->id, 'payload' => '', 'last_activity' => time()]);
        $this->actAs('lead')->putJson("/api/accounts/{$member->id}", ['name' => 'Isolde Varga', 'role' => 'keeper'])->assertOk();
        $this->assertSame(0, DB::table('sessions')->where('user_id', $member->id)->count());
        $this->assertSame('keeper', User::query()->findOrFail($member->id)->role->value);
        $this->putJson("/api/accounts/{$this->person('keeper')->id}", ['name' => 'Tobias Renn', 'role' => 'member'])->assertUnprocessable();
    }
}
