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

/** Asks what a line by a class and its limits would accept, before it is saved. */
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
            'most' => ['array', 'max:8'],
            'most.*' => ['required', 'string', 'max:40'],
        ];
    }

    public function accepted(): Accepted
    {
        /** @var array{class: string, least?: array<string, string>, most?: array<string, string>} $valid */
        $valid = $this->validated();

        return Accepted::class($valid['class'], self::limits('least', $valid['least'] ?? []), self::limits('most', $valid['most'] ?? []));
    }

    /**
     * @param  array<string, string>  $limits
     * @return array<string, Quantity>
     */
    private static function limits(string $field, array $limits): array
    {
        $read = [];
        foreach ($limits as $measure => $quantity) {
            try {
                $read[(string) $measure] = Quantity::of($quantity);
            } catch (NotAQuantity $refused) {
                throw ValidationException::withMessages(["{$field}.{$measure}" => $refused->getMessage()]);
            }
        }

        return $read;
    }
}
