<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use App\Catalogue\Classes;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Lists\Accepted;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;

/** What a line would accept by a class and least measures, asked before it is saved. */
final class AcceptedByClass extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'class' => ['required', 'string', 'max:120', static function (string $field, mixed $value, Closure $fail): void {
                if (preg_match(Classes::PATTERN, is_string($value) ? $value : '') !== 1) {
                    $fail('Write the class in small letters with dots, such as dressing.sterile.');
                }
            }],
            'least' => ['array', 'max:8'],
            'least.*' => ['required', 'string', 'max:40'],
        ];
    }

    public function accepted(): Accepted
    {
        /** @var array{class: string, least?: array<string, string>} $valid */
        $valid = $this->validated();
        $least = [];
        foreach ($valid['least'] ?? [] as $measure => $quantity) {
            try {
                $least[(string) $measure] = Quantity::of($quantity);
            } catch (NotAQuantity $refused) {
                throw ValidationException::withMessages(["least.{$measure}" => $refused->getMessage()]);
            }
        }

        return Accepted::class($valid['class'], $least);
    }
}
