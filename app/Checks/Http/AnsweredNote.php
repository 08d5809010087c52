<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['answer'], properties: [new OA\Property(property: 'answer', type: 'string')])]
final class AnsweredNote extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['answer' => ['required', 'string', 'max:500']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'answer.required' => 'Say what was done about it, such as "clip replaced" or "seen, no action needed".',
            'answer.max' => 'Answer: at most 500 characters.',
        ];
    }

    public function answer(): string
    {
        return (string) $this->validated('answer');
    }
}
