<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Kits\NewKitReport;
use App\Support\Http\KnownKeys;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Scope;

#[OA\Schema(required: ['id', 'code', 'name', 'design_id', 'place_id', 'scope'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'a ULID made by the page: sent twice, one kit is made'),
    new OA\Property(property: 'code', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'design_id', type: 'string'),
    new OA\Property(property: 'place_id', type: 'string'),
    new OA\Property(property: 'task', type: 'string', nullable: true, description: 'the task of a plan that asked for the kit'),
    new OA\Property(property: 'scope', type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
])]
final class NewKit extends FormRequest
{
    use KnownKeys;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'ulid'],
            'code' => [
                'bail',
                'required',
                'string',
                'regex:/^[A-Z0-9][A-Z0-9-]{1,19}$/',
                Rule::unique('kits', 'code')->ignore(is_string($this->input('id')) ? strtolower($this->input('id')) : null),
            ],
            'name' => ['required', 'string', 'max:120'],
            'design_id' => ['bail', 'required', 'string', 'exists:designs,id'],
            'place_id' => ['bail', 'required', 'string', 'exists:places,id'],
            'scope' => ['required', Rule::enum(Scope::class)],
            'task' => ['nullable', 'string', 'exists:plan_tasks,id'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'code.required' => 'Give the kit the code that will be on its label, such as QH-20.',
            'code.regex' => 'A code has 2 to 20 capital letters, digits and hyphens, such as QH-20.',
            'code.unique' => 'Another kit has this code. Choose one that is free.',
            'name.required' => 'Give the kit a name, such as "Rose walk pouch".',
            'design_id.*' => 'Choose a design.',
            'task.*' => 'The task that asked for this kit is no longer there. Open the plan again.',
            'place_id.*' => 'Choose the place where the kit will be.',
        ];
    }

    public function report(): NewKitReport
    {
        /** @var array{id: string, code: string, name: string, design_id: string, place_id: string, scope: string} $valid */
        $valid = $this->validated();

        return new NewKitReport(
            strtolower($valid['id']),
            $valid['code'],
            $valid['name'],
            strtolower($valid['design_id']),
            strtolower($valid['place_id']),
            $valid['scope'],
        );
    }
}
