<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What a test of packing asks and sends: a design as a draft, what it would be, and an edition of it. */
trait PacksDesigns
{
    private function design(string $code): string
    {
        $id = DB::table('designs')->where('code', $code)->value('id');

        return is_string($id) ? $id : $this->fail("There is no design {$code}.");
    }

    /** @return array<string, mixed> */
    private function draftOf(string $design): array
    {
        return $this->actAs('lead')->getJson("/api/designs/{$design}/draft")->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $start
     * @return array<string, mixed>
     */
    private function foresee(array $start): array
    {
        return $this->postJson('/api/designs/foresight', ['design' => $start['design'], 'draft' => $start['draft']])->assertOk()->json();
    }

    /**
     * @param  array<string, mixed>  $start
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function publish(string $id, array $start, ?string $edition = null): TestResponse
    {
        $edition ??= $this->ulid();

        return $this->putJson("/api/designs/{$id}/editions/{$edition}", ['base' => $start['edition'], 'name' => $start['name'], 'draft' => $start['draft']]);
    }
}
