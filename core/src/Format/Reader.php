<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Brick\Math\BigRational;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Calendar\NotADay;
use Sarcina\Core\Calendar\PrintedDate;
use Sarcina\Core\Calendar\SeasonDay;
use Sarcina\Core\Measure\NotAQuantity;
use Sarcina\Core\Measure\Quantity;

/**
 * One value of a document, at its path: `$kit->field('code')->text()`.
 *
 * What is wrong is collected, each with its path, and thrown by `finish`, so that all errors are found at once: every method gives a
 * usable value even where the one that stands there is bad, and its default where none stands there.
 */
final readonly class Reader
{
    /** More than any kit, store or order holds; it keeps sums within an integer. */
    public const MOST_PIECES = 1_000_000_000;

    /** Stands where no day could be read; the document is refused in the end. */
    private const ANY_DAY = '1970-01-01';

    private function __construct(
        private mixed $value,
        public string $path,
        private bool $isGiven,
        private Problems $problems,
    ) {
    }

    public static function of(mixed $document): self
    {
        return new self($document, '', true, new Problems);
    }

    /**
     * This value as an object: anything else is refused, and so are unknown keys and missing ones that are required.
     *
     * @param  list<string>  $required
     * @param  list<string>  $optional
     */
    public function object(array $required, array $optional = []): self
    {
        if (! $this->mustBeObject()) {
            return $this;
        }
        $given = $this->keys();
        foreach (array_diff($given, $required, $optional) as $key) {
            $this->field($key)->refuse("The key \"{$key}\" is not known here; known are ".implode(', ', [...$required, ...$optional]).'.');
        }
        foreach (array_diff($required, $given) as $key) {
            $this->field($key)->refuse("The key \"{$key}\" is missing.");
        }

        return $this;
    }

    /** Whether this is an object; refused where anything else is given. */
    public function mustBeObject(): bool
    {
        if ($this->isGiven && ! $this->isObject()) {
            $this->refuse('This must be an object, written {…}.');
        }

        return $this->isObject();
    }

    public function isObject(): bool
    {
        return $this->value instanceof \stdClass;
    }

    public function field(string $key): self
    {
        $isGiven = $this->value instanceof \stdClass && property_exists($this->value, $key);

        return new self($isGiven ? $this->value->{$key} : null, Json::pointer($this->path, $key), $isGiven, $this->problems);
    }

    /** @return list<string> the keys of an object */
    public function keys(): array
    {
        return $this->value instanceof \stdClass ? array_map(strval(...), array_keys(get_object_vars($this->value))) : [];
    }

    /** @return list<self> the entries of a list */
    public function entries(bool $mayBeEmpty = true): array
    {
        if (! $this->isGiven) {
            return [];
        }
        if (! is_array($this->value)) {
            $this->refuse('This must be a list, written […].');

            return [];
        }
        if ($this->value === [] && ! $mayBeEmpty) {
            $this->refuse('This must hold at least one entry.');
        }
        $entries = [];
        foreach (array_values($this->value) as $index => $entry) {
            $entries[] = new self($entry, "{$this->path}/{$index}", true, $this->problems);
        }

        return $entries;
    }

    /** Whether anything stands here, null too. */
    public function isGiven(): bool
    {
        return $this->isGiven;
    }

    public function isNull(): bool
    {
        return $this->value === null;
    }

    public function format(string $format): void
    {
        if ($this->isGiven && $this->value !== $format) {
            $this->refuse("The format must be \"{$format}\".");
        }
    }

    public function text(string $otherwise = ''): string
    {
        if ($this->isGiven && (! is_string($this->value) || $this->value === '')) {
            $this->refuse('This must be text and not empty.');
        }

        return is_string($this->value) && $this->value !== '' ? $this->value : $otherwise;
    }

    public function textOrNull(): ?string
    {
        if ($this->value !== null && ! is_string($this->value)) {
            $this->refuse('This must be text or null.');
        }

        return is_string($this->value) ? $this->value : null;
    }

    public function flag(bool $otherwise): bool
    {
        if ($this->isGiven && ! is_bool($this->value)) {
            $this->refuse('This must be true or false.');
        }

        return is_bool($this->value) ? $this->value : $otherwise;
    }

    /** @param  int|null  $otherwise  the least where it is null */
    public function wholeNumber(int $least, int $most = self::MOST_PIECES, ?int $otherwise = null): int
    {
        if ($this->isGiven && (! is_int($this->value) || $this->value < $least || $this->value > $most)) {
            $this->refuse("This must be a whole number from {$least} to {$most}.");

            return $least;
        }

        return is_int($this->value) ? $this->value : $otherwise ?? $least;
    }

    /** A decimal in a string, 0 or more: digits, perhaps a point and digits. */
    public function decimal(): BigRational
    {
        $text = is_string($this->value) && preg_match('/^\d{1,100}(\.\d{1,100})?$/D', $this->value) === 1 ? $this->value : null;
        if ($this->isGiven && $text === null) {
            $this->refuse('This must be a decimal in a string, such as "8.5".');
        }

        return BigRational::of($text ?? '0');
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  T  $otherwise
     * @return T
     */
    public function choice(\BackedEnum $otherwise): \BackedEnum
    {
        if (! $this->isGiven) {
            return $otherwise;
        }
        $choice = is_string($this->value) ? $otherwise::tryFrom($this->value) : null;
        if ($choice === null) {
            $this->refuse('This must be one of '.implode(', ', array_column($otherwise::cases(), 'value')).'.');
        }

        return $choice ?? $otherwise;
    }

    public function day(): Day
    {
        return ($this->isGiven ? $this->read(Day::of(...), NotADay::class) : null) ?? Day::of(self::ANY_DAY);
    }

    public function dayOrNull(): ?Day
    {
        return $this->value === null ? null : $this->day();
    }

    public function printedDateOrNull(): ?PrintedDate
    {
        return $this->value === null ? null : $this->read(PrintedDate::of(...), NotADay::class);
    }

    public function seasonDay(): ?SeasonDay
    {
        return $this->read(SeasonDay::of(...), NotADay::class);
    }

    /**
     * Measures by name, such as {"width": "12 cm"}.
     *
     * @return array<string, Quantity>
     */
    public function measures(): array
    {
        $measures = [];
        if ($this->mustBeObject()) {
            foreach ($this->keys() as $name) {
                $quantity = $this->field($name)->read(Quantity::of(...), NotAQuantity::class);
                if ($quantity !== null) {
                    $measures[$name] = $quantity;
                }
            }
        }

        return $measures;
    }

    /**
     * A text that must be one of its kind under the same roof; refused where it was seen before.
     *
     * @param  array<string, string>  $seen  by the text with a dot before it, so that "7" stays text
     */
    public function textOnce(array &$seen): string
    {
        $text = $this->text();
        if ($text !== '' && isset($seen['.'.$text])) {
            $this->refuse("\"{$text}\" is given twice; it must be one.");
        }
        $seen['.'.$text] = $text;

        return $text;
    }

    public function refuse(string $message): void
    {
        $this->problems->add($this->path, $message);
    }

    /** How many errors were found so far in the whole document. */
    public function refused(): int
    {
        return $this->problems->count();
    }

    /** @throws InvalidDocument where anything in the whole document was refused */
    public function finish(): void
    {
        $this->problems->throwIfAny();
    }

    /**
     * @template T of object
     *
     * @param  callable(string): T  $of
     * @param  class-string<\Throwable>  $refusal
     * @return T|null
     */
    private function read(callable $of, string $refusal): ?object
    {
        try {
            return $of(is_string($this->value) ? $this->value : get_debug_type($this->value));
        } catch (\Throwable $refused) {
            if (! $refused instanceof $refusal) {
                throw $refused;
            }
            $this->refuse($refused->getMessage());

            return null;
        }
    }
}
