<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Accounts\Models\User;
use Illuminate\Support\Facades\Artisan;
use Tests\TestCase;

/** For who is locked out: from the machine itself. */
final class UserCommandTest extends TestCase
{
    public function test_accounts_are_listed_added_and_let_in_again(): void
    {
        $this->artisan('user list')->assertSuccessful()->expectsOutputToContain('lead@quillhaven.example');
        $this->assertSame(0, Artisan::call('user add nadia@quillhaven.example --name "Nadia Ferro" --role keeper'));
        preg_match('#/welcome/(\S+)#', Artisan::output(), $link);
        $this->postJson("/api/links/{$link[1]}", ['password' => 'three green lanterns'])->assertOk()->assertJsonPath('role', 'keeper');
        $lead = $this->person('lead');
        $lead->forceFill(['deactivated_on' => now()->toDateString(), 'factor_secret' => 'x'])->save();
        $this->assertSame(0, Artisan::call('user reset LEAD@quillhaven.example'));
        $this->assertStringContainsString('/welcome/', Artisan::output());
        $lead->refresh();
        $this->assertSame([true, null], [$lead->isActive(), $lead->factor_secret]);
        $this->assertSame(5, User::query()->count());
    }

    public function test_it_says_what_is_wrong(): void
    {
        foreach ([
            'user add nadia --name N' => 'Give an email address', 'user add n@x.example' => 'Give a name', 'user add n@x.example --name N --role boss' => 'A role is',
            'user add lead@quillhaven.example --name N' => 'already', 'user reset nobody@x.example' => 'There is no account', 'user remove' => 'list, add or reset',
        ] as $command => $says) {
            $this->artisan($command)->assertFailed()->expectsOutputToContain($says);
        }
    }
}
