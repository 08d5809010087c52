<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;

/** A date as printed on a pack: YYYY-MM or YYYY-MM-DD, and in the calendar. */
final class PrintedOnPack implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            PrintedDate::of(is_string($value) ? $value : '');
        } catch (NotADay $refused) {
            $fail($refused->getMessage());
        }
    }
}
