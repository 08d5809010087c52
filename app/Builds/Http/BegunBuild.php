<?php

declare(strict_types=1);

namespace App\Builds\Http;

use App\Support\Http\KnownKeys;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(
    required: ['begun_at'],
    properties: [new OA\Property(property: 'begun_at', type: 'string', format: 'date-time', description: 'by the device\'s clock, corrected')],
)]
final class BegunBuild extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['begun_at' => ['bail', 'required', 'string', 'date', 'after:-400 days', 'before_or_equal:+10 minutes']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['begun_at.*' => 'Say when this was begun, as a date with a time; set this device\'s clock where it is wrong.'];
    }

    public function begunAt(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string('begun_at')->value());
    }
}
