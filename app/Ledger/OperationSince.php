<?php

declare(strict_types=1);

namespace App\Ledger;

/** An operation of a kit that somebody had not seen when they began. */
final readonly class OperationSince
{
    public function __construct(
        public int $number,
        public OperationKind $kind,
        public WhenDone $when,
        public ?string $standing,
        public bool $breaksSeal,
        public bool $setsSeal,
        public bool $countsAll = false,
    ) {
    }

    /** @param  list<self>  $since */
    public static function anySetASeal(array $since): bool
    {
        return array_filter($since, static fn (self $one): bool => $one->setsSeal) !== [];
    }

    public function isStandingFullCheck(): bool
    {
        return $this->countsAll || $this->kind === OperationKind::FullCheck && $this->standing === 'stands';
    }
}
