<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\TestCase;

/** What is not sent yet is locked on a device by a key of its own for each person and device. */
final class DeviceKeyTest extends TestCase
{
    public function test_a_lead_has_the_key_of_an_ended_account_and_of_no_other(): void
    {
        $device = $this->ulid();
        $keeper = $this->person('keeper');
        $key = $this->actAs('keeper')->putJson("/api/device-keys/{$device}")->assertOk()->json('key');
        $this->actAs('lead')->putJson("/api/device-keys/{$device}/of/{$keeper->id}")->assertUnprocessable();
        $this->putJson("/api/accounts/{$keeper->id}/deactivation", ['hand_over_to' => $this->person('lead')->id])->assertOk();
        $this->putJson("/api/device-keys/{$device}/of/{$keeper->id}")->assertOk()->assertJson(['key' => $key])->assertHeader('Cache-Control');
        $this->actAs('member')->putJson("/api/device-keys/{$device}/of/{$keeper->id}")->assertForbidden();
    }

    private function key(string $role, string $device): string
    {
        return (string) $this->actAs($role)->putJson("/api/device-keys/{$device}")->assertOk()->json('key');
    }

    public function test_each_person_has_one_on_each_device_and_it_stays_the_same(): void
    {
        [$one, $other] = [Str::lower((string) Str::ulid()), Str::lower((string) Str::ulid())];
        $key = $this->key('keeper', $one);
        $this->assertSame(32, strlen((string) base64_decode($key, true)));
        $this->assertSame($key, $this->key('keeper', Str::upper($one)), 'The same at the next sign-in.');
        $this->assertNotSame($key, $this->key('keeper', $other));
        $this->assertNotSame($key, $this->key('lead', $one), 'Somebody else on the same device.');
        $this->assertStringNotContainsString($key, (string) json_encode(DB::table('device_keys')->get()), 'It is kept under the application\'s own key.');
    }

    public function test_it_is_kept_nowhere_on_the_way_and_given_to_nobody_else(): void
    {
        $device = Str::lower((string) Str::ulid());
        $this->putJson("/api/device-keys/{$device}")->assertUnauthorized();
        $this->assertStringContainsString('no-store', (string) $this->actAs('member')->putJson("/api/device-keys/{$device}")->headers->get('Cache-Control'));
        $this->putJson('/api/device-keys/mine')->assertNotFound();
    }

    public function test_they_do_not_pile_up(): void
    {
        foreach (range(1, 52) as $number) {
            $this->travelTo(now()->addSecond());
            $this->key('member', Str::lower((string) Str::ulid()));
        }
        $this->assertSame(50, DB::table('device_keys')->where('user_id', $this->person('member')->id)->count());
    }
}
