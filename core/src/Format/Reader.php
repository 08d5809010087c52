<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;

/**
 * Reads the values of one document and collects what is wrong with it, each with its path.
 *
 * Every method returns a usable value even where the one given is bad, so that a reader
 * goes on and all errors are found at once; `finish` throws where there was any.
 */
final class Reader
{
    /** More than any kit, store or order holds; it keeps sums within an integer. */
    public const MOST_PIECES = 1_000_000_000;

    /** @var list<Problem> */
    private array $problems = [];

    public function refuse(string $path, string $message): void
    {
        $this->problems[] = new Problem($path, $message);
    }

    /** How many errors were found so far. */
    public function refused(): int
    {
        return count($this->problems);
    }

    /** @throws InvalidDocument where anything was refused */
    public function finish(): void
    {
        if ($this->problems !== []) {
            throw InvalidDocument::because($this->problems);
        }
    }

    /**
     * The members of an object. Unknown keys and missing required ones are refused.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     * @return array<string, mixed>|null null where the value is no object
     */
    public function object(mixed $value, string $path, array $required, array $optional = []): ?array
    {
        $members = $this->members($value, $path);
        if ($members === null) {
            return null;
        }
        $given = array_keys($members);
        foreach (array_diff($given, $required, $optional) as $key) {
            $this->refuse(Json::pointer($path, $key), "The key \"{$key}\" is not known here; known are ".implode(', ', [...$required, ...$optional]).'.');
        }
        foreach (array_diff($required, $given) as $key) {
            $this->refuse(Json::pointer($path, $key), "The key \"{$key}\" is missing.");
        }

        return $members;
    }

    /**
     * The members of an object that may have any keys.
     *
     * @return array<string, mixed>|null
     */
    public function members(mixed $value, string $path): ?array
    {
        if (! $value instanceof \stdClass) {
            $this->refuse($path, 'This must be an object, written {…}.');

            return null;
        }
        /** @var array<string, mixed> $members */
        $members = get_object_vars($value);

        return $members;
    }

    /** @return list<mixed> */
    public function list(mixed $value, string $path, bool $mayBeEmpty = true): array
    {
        if (! is_array($value)) {
            $this->refuse($path, 'This must be a list, written […].');

            return [];
        }
        if ($value === [] && ! $mayBeEmpty) {
            $this->refuse($path, 'This must hold at least one entry.');
        }

        return array_values($value);
    }

    public function format(mixed $value, string $path, string $format): void
    {
        if ($value !== $format) {
            $this->refuse(Json::pointer($path, 'format'), "The format must be \"{$format}\".");
        }
    }

    public function text(mixed $value, string $path): string
    {
        if (! is_string($value) || $value === '') {
            $this->refuse($path, 'This must be text and not empty.');

            return '';
        }

        return $value;
    }

    public function textOrNull(mixed $value, string $path): ?string
    {
        if ($value !== null && ! is_string($value)) {
            $this->refuse($path, 'This must be text or null.');

            return null;
        }

        return $value;
    }

    public function flag(mixed $value, string $path): bool
    {
        if (! is_bool($value)) {
            $this->refuse($path, 'This must be true or false.');

            return false;
        }

        return $value;
    }

    public function wholeNumber(mixed $value, string $path, int $least, int $most = self::MOST_PIECES): int
    {
        if (! is_int($value) || $value < $least || $value > $most) {
            $this->refuse($path, "This must be a whole number from {$least} to {$most}.");

            return $least;
        }

        return $value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $otherwise
     * @return T
     */
    public function choice(mixed $value, string $path, string $enum, \BackedEnum $otherwise): \BackedEnum
    {
        $choice = is_string($value) ? $enum::tryFrom($value) : null;
        if ($choice === null) {
            $this->refuse($path, 'This must be one of '.implode(', ', array_column($enum::cases(), 'value')).'.');

            return $otherwise;
        }

        return $choice;
    }

    public function day(mixed $value, string $path): Day
    {
        try {
            return Day::of(is_string($value) ? $value : get_debug_type($value));
        } catch (NotADay $refused) {
            $this->refuse($path, $refused->getMessage());

            return Day::numbered(0);
        }
    }

    public function dayOrNull(mixed $value, string $path): ?Day
    {
        return $value === null ? null : $this->day($value, $path);
    }

    public function printedDateOrNull(mixed $value, string $path): ?PrintedDate
    {
        if ($value === null) {
            return null;
        }
        try {
            return PrintedDate::of(is_string($value) ? $value : get_debug_type($value));
        } catch (NotADay $refused) {
            $this->refuse($path, $refused->getMessage());

            return null;
        }
    }

    public function seasonDay(mixed $value, string $path): ?SeasonDay
    {
        try {
            return SeasonDay::of(is_string($value) ? $value : get_debug_type($value));
        } catch (NotADay $refused) {
            $this->refuse($path, $refused->getMessage());

            return null;
        }
    }

    public function quantity(mixed $value, string $path): ?Quantity
    {
        try {
            return Quantity::of(is_string($value) ? $value : get_debug_type($value));
        } catch (NotAQuantity $refused) {
            $this->refuse($path, $refused->getMessage());

            return null;
        }
    }

    /**
     * Measures by name, such as {"width": "12 cm"}.
     *
     * @return array<string, Quantity>
     */
    public function measures(mixed $value, string $path): array
    {
        $measures = [];
        foreach ($this->members($value, $path) ?? [] as $name => $written) {
            $quantity = $this->quantity($written, Json::pointer($path, $name));
            if ($quantity !== null) {
                $measures[$name] = $quantity;
            }
        }

        return $measures;
    }

    /**
     * Refuses a text that was seen before under the same roof.
     *
     * @param  array<string, true>  $seen  by the text with a dot before it, so that "7" stays text
     */
    public function onlyOnce(string $text, string $path, array &$seen): void
    {
        if ($text !== '' && isset($seen['.'.$text])) {
            $this->refuse($path, "\"{$text}\" is given twice; it must be one.");
        }
        $seen['.'.$text] = true;
    }
}
