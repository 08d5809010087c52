<?php

declare(strict_types=1);

namespace App\Tasks\Http;

use App\Support\Http\KnownKeys;
use App\Tasks\TaskGiven;
use App\Tasks\TaskKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['kind', 'user_id', 'due_on'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['check', 'restock', 'other']),
    new OA\Property(property: 'text', type: 'string', nullable: true),
    new OA\Property(property: 'user_id', type: 'string'),
    new OA\Property(property: 'due_on', type: 'string', format: 'date'),
])]
final class NewTask extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(['check', 'restock', 'other'])],
            'text' => ['nullable', 'string', 'max:300', 'required_if:kind,other'],
            'user_id' => ['bail', 'required', 'string', 'exists:users,id'],
            'due_on' => ['bail', 'required', 'date_format:Y-m-d', 'after_or_equal:'.$this->today(), 'before:'.$this->lastDay()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.required_if' => 'Say what is to be done.',
            'user_id.*' => 'Choose who is to do it.',
            'due_on.required' => 'Say by which day it is to be done.',
            'due_on.date_format' => 'By which day: a date, such as 2027-03-31.',
            'due_on.*' => 'By which day: today or later, within two years.',
        ];
    }

    public function given(string $id): TaskGiven
    {
        /** @var array{kind: string, text?: string|null, user_id: string, due_on: string} $valid */
        $valid = $this->validated();

        return new TaskGiven($id, TaskKind::from($valid['kind']), $valid['text'] ?? null, strtolower($valid['user_id']), $valid['due_on']);
    }

    private function today(): string
    {
        return app(\App\Accounts\Models\Organisation::class)->today();
    }

    private function lastDay(): string
    {
        return \Carbon\CarbonImmutable::parse($this->today())->addYears(2)->toDateString();
    }
}
