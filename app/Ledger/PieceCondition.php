<?php

declare(strict_types=1);

namespace App\Ledger;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Condition;

/**
 * The condition of pieces as it is recorded: a word, and of opened ones the day on which they were opened, where it is known
 * ("opened 2026-11-20"). Pieces opened on different days are good for different times, so they are recorded apart. In a store alone
 * pieces are set apart: quarantined until somebody has looked into it, or kept for training.
 */
final readonly class PieceCondition
{
    public const QUARANTINED = 'quarantined';

    public const TRAINING = 'training';

    /** Which lie in no kit and are picked for none. */
    public const APART = [self::QUARANTINED, self::TRAINING];

    /** Whatever pieces of a store may be recorded as. */
    public const WORDS = ['good', 'opened', 'damaged', 'soiled', 'failed', ...self::APART];

    private function __construct(
        public Condition $condition,
        public ?string $openedOn,
    ) {
    }

    /** Of pieces that are not set apart. */
    public static function of(string $recorded): self
    {
        $parts = explode(' ', $recorded, 2);

        return new self(Condition::from($parts[0]), $parts[1] ?? null);
    }

    /** The word alone, of pieces that are set apart too. */
    public static function word(string $recorded): string
    {
        return explode(' ', $recorded, 2)[0];
    }

    /** @return string|null the day on which they were opened, where it is known */
    public static function openedOn(string $recorded): ?string
    {
        return explode(' ', $recorded, 2)[1] ?? null;
    }

    /** @param  string|null  $openedOn  as YYYY-MM-DD; of opened pieces alone */
    public static function recorded(string $condition, ?string $openedOn): string
    {
        return $openedOn === null ? $condition : "{$condition} {$openedOn}";
    }

    public function openedDay(): ?Day
    {
        return $this->openedOn === null ? null : Day::of($this->openedOn);
    }

    /** "opened on 20 Nov 2026" */
    public static function inWords(string $recorded): string
    {
        $openedOn = self::openedOn($recorded);

        return match (true) {
            $openedOn !== null => 'opened on '.(new \DateTimeImmutable($openedOn))->format('j M Y'),
            $recorded === self::TRAINING => 'kept for training',
            default => $recorded,
        };
    }
}
