<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

use Brick\Math\BigRational;

/**
 * A rate from so many uses that were counted: between which means it lies with nine chances in ten. A mean is left out where so few
 * uses, or so many, would be seen less than one time in twenty.
 */
final readonly class Counted
{
    /** With fewer than that a rate says next to nothing. */
    public const ENOUGH = 10;

    private const SCALE = 100;

    private function __construct(public int $uses, public BigRational $least, public BigRational $most)
    {
    }

    public static function of(int $uses): self
    {
        $twentieth = BigRational::nd(1, 20);
        // The mean rises: so many or fewer grow unlikely; and so many or more grow likely.
        $most = self::first(static fn (Poisson $mean): bool => $mean->quantile($twentieth) > $uses, $uses);
        $least = $uses === 0 ? BigRational::zero() : self::first(
            static fn (Poisson $mean): bool => $mean->quantile(BigRational::nd(19, 20)) >= $uses, 0,
        );

        return new self($uses, $least, $most);
    }

    public function isEnough(): bool
    {
        return $this->uses >= self::ENOUGH;
    }

    /**
     * The first mean, in hundredths, from which on it holds.
     *
     * @param  callable(Poisson): bool  $holds
     */
    private static function first(callable $holds, int $from): BigRational
    {
        $mean = static fn (int $hundredths): Poisson => new Poisson(BigRational::nd($hundredths, self::SCALE)->simplified());
        [$low, $high] = [$from * self::SCALE, ($from + 4) * self::SCALE];
        while (! $holds($mean($high))) {
            [$low, $high] = [$high, 2 * $high];
        }
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $holds($mean($middle)) ? [$low, $middle] : [$middle + 1, $high];
        }

        return BigRational::nd($low, self::SCALE)->simplified();
    }
}
