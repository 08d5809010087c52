<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** What a compartment or a kit carries: grams, millilitres and pieces, and for how many items a figure is not known. */
final readonly class Load
{
    /**
     * @param  int  $mass  grams
     * @param  int  $bulk  millilitres, of the items whose bulk is known
     * @param  array<string, int>  $pieces  by item code
     * @param  int  $withoutBulk  items whose bulk is not known
     */
    public function __construct(
        public int $mass,
        public int $bulk,
        public array $pieces,
        public int $withoutBulk,
    ) {
    }

    /**
     * What lies in these compartments.
     *
     * @param  list<PackedLine>  $lines
     * @param  list<string>|null  $compartments  null: in any
     */
    public static function of(array $lines, ?array $compartments = null): self
    {
        [$mass, $bulk, $pieces, $without] = [0, 0, [], []];
        foreach ($lines as $line) {
            $count = $compartments === null ? $line->inAll() : array_sum(array_intersect_key($line->pieces, array_flip($compartments)));
            if ($line->item === null || $count === 0) {
                continue;
            }
            $mass += $count * $line->item->mass;
            $bulk += $count * ($line->handling->bulk ?? 0);
            $pieces[$line->item->code] = ($pieces[$line->item->code] ?? 0) + $count;
            if ($line->handling->bulk === null) {
                $without[$line->item->code] = true;
            }
        }

        return new self($mass, $bulk, $pieces, count($without));
    }
}
