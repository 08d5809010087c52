<?php

declare(strict_types=1);

namespace App\Ledger;

use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Kit\Condition;

/**
 * The condition of pieces as it is recorded: a word, and of opened ones the day on which they were opened, where it is known
 * ("opened 2026-11-20"). Pieces opened on different days are good for different times, so they are recorded apart.
 */
final readonly class PieceCondition
{
    private function __construct(
        public Condition $condition,
        public ?string $openedOn,
    ) {
    }

    public static function of(string $recorded): self
    {
        $parts = explode(' ', $recorded, 2);

        return new self(Condition::from($parts[0]), $parts[1] ?? null);
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
        $openedOn = self::of($recorded)->openedOn;

        return $openedOn === null ? $recorded : 'opened on '.(new \DateTimeImmutable($openedOn))->format('j M Y');
    }
}
