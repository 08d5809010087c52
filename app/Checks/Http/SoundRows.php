<?php

declare(strict_types=1);

namespace App\Checks\Http;

use App\Accounts\Models\Organisation;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Contracts\Validation\ValidatorAwareRule;
use Illuminate\Validation\Validator as Validating;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Kit\Condition;

/**
 * Rows as somebody counts them: every key known and sound, each error at its row and key.
 *
 * By hand, because a verdict runs along with the typing and the framework's wildcard rules take longer over sixty rows than the core does.
 */
final class SoundRows implements ValidationRule, ValidatorAwareRule
{
    private const KEYS = ['pocket_id', 'item', 'lot', 'expires', 'quantity', 'condition', 'opened_on', 'new_lot'];

    private const MOST = 100_000;

    private Validating $validator;

    public function setValidator(Validating $validator): static
    {
        $this->validator = $validator;

        return $this;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (is_array($value) ? array_values($value) : [] as $index => $row) {
            if (! is_array($row)) {
                $this->refuse("{$attribute}.{$index}", 'A row is an object.');

                continue;
            }
            foreach ($this->faults($row) as $key => $message) {
                $this->refuse("{$attribute}.{$index}.{$key}", $message);
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<array-key, string> by key
     */
    private function faults(array $row): array
    {
        $faults = [];
        foreach (array_diff(array_keys($row), self::KEYS) as $key) {
            $faults[$key] = "The key \"{$key}\" is not known here.";
        }
        foreach (['pocket_id' => 53, 'item' => 60] as $key => $most) {
            if (! is_string($row[$key] ?? null) || $row[$key] === '' || mb_strlen($row[$key]) > $most) {
                $faults[$key] = "This must be text of 1 to {$most} characters.";
            }
        }
        foreach (['lot', 'expires'] as $key) {
            if (! array_key_exists($key, $row) || ($row[$key] !== null && ! is_string($row[$key]))) {
                $faults[$key] = 'This must be text or null.';
            }
        }
        if (is_string($row['lot'] ?? null) && mb_strlen($row['lot']) > 60) {
            $faults['lot'] = 'A lot\'s number has 60 characters at the most.';
        }
        if (is_string($row['expires'] ?? null)) {
            try {
                PrintedDate::of($row['expires']);
            } catch (NotADay $refused) {
                $faults['expires'] = $refused->getMessage();
            }
        }
        if (! is_string($row['condition'] ?? null) || Condition::tryFrom($row['condition']) === null) {
            $faults['condition'] = 'The condition is good, opened, damaged, soiled or failed.';
        }
        $opened = self::openedFault($row);
        if ($opened !== null) {
            $faults['opened_on'] = $opened;
        }
        if (! is_bool($row['new_lot'] ?? false)) {
            $faults['new_lot'] = 'This must be true or false.';
        }
        $count = self::fault($row['quantity'] ?? null);

        return $count === null ? $faults : ['quantity' => $count, ...$faults];
    }

    /** @param  array<array-key, mixed>  $row */
    private static function openedFault(array $row): ?string
    {
        $day = $row['opened_on'] ?? null;
        if ($day === null) {
            return null;
        }
        if (($row['condition'] ?? null) !== Condition::Opened->value) {
            return 'Only an opened piece has a day of opening.';
        }
        try {
            $isAhead = ! is_string($day) || Day::of($day)->isAfter(Day::of(app(Organisation::class)->today()));
        } catch (NotADay $refused) {
            return $refused->getMessage();
        }

        return $isAhead ? 'The day of opening is a day until today, such as 2026-03-14.' : null;
    }

    private static function fault(mixed $quantity): ?string
    {
        return match (true) {
            ! is_int($quantity) => 'A count is a whole number.',
            $quantity < 0 => 'A count is 0 or more.',
            $quantity > self::MOST => 'A count is 100000 at the most. Count again.',
            default => null,
        };
    }

    private function refuse(string $path, string $message): void
    {
        $this->validator->errors()->add($path, $message);
    }
}
