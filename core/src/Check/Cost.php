<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

/**
 * What it costs to place one piece on a line, in the order of rules.md (check, 1 to 8), for one group of lines.
 *
 * The eight figures are packed into three integers that compare in turn. A figure's step is more than all
 * that the figures after it can come to along a path of the flow, so packing loses nothing.
 */
final readonly class Cost
{
    private int $unit;

    private int $unitSquared;

    private int $preference;

    /**
     * @param  int  $lines  lines in the group: a path visits each once, over at most two edges
     * @param  int  $worstPreference  the highest position of an entry in it
     */
    public function __construct(int $lines, int $worstPreference)
    {
        $this->unit = 4 * $lines + 1;
        $this->unitSquared = $this->unit * $this->unit;
        $this->preference = 4 * $lines * $worstPreference + 1;
    }

    /**
     * @param  0|1|2  $rank  0 critical, 1 required, 2 optional
     * @return array{int, int, int}
     */
    public function ofEffective(int $rank, bool $early, int $preference): array
    {
        return [
            match ($rank) {
                0 => -$this->unitSquared,
                1 => -$this->unit,
                2 => -1,
            },
            ($early ? $this->preference : 0) + $preference,
            0,
        ];
    }

    /**
     * Reserve lessens what required and optional lines lack after the effective pieces.
     *
     * @param  1|2  $rank
     * @return array{int, int, int}
     */
    public function ofReserve(int $rank, int $preference): array
    {
        return [0, 0, $preference - ($rank === 1 ? $this->unit : 1) * $this->preference];
    }
}
