<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/**
 * In which order the pockets of a kit are packed: what is reached last goes in first, and what is taken first on leaving goes in last,
 * so that it lies on top. Of pockets that are reached alike, the one that the design names first is packed last: it is opened first.
 */
final class PackingOrder
{
    /**
     * @param  list<string>  $pockets  ids, as the design names them
     * @param  list<string>  $takenFirst  ids of compartments that are taken first on leaving
     * @return list<string> the same ids
     */
    public static function of(Packing $packing, array $pockets, array $takenFirst = []): array
    {
        $keys = [];
        foreach ($pockets as $at => $id) {
            $around = array_map(static fn (Compartment $one): string => $one->id, $packing->around($id));
            $keys[$id] = [array_intersect($around, $takenFirst) === [] ? 0 : 1, -$packing->reach($id), -$at];
        }
        usort($pockets, static fn (string $one, string $other): int => $keys[$one] <=> $keys[$other]);

        return $pockets;
    }
}
