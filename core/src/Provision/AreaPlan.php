<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/** What one area needs, by one of the two plans. */
final readonly class AreaPlan
{
    /** @param  list<Part>  $parts */
    public function __construct(public array $parts)
    {
    }

    /** @return array<string, int> kits by size */
    public function kits(): array
    {
        return self::counted(array_filter($this->parts, static fn (Part $part): bool => ! $part->isModule));
    }

    /** @return array<string, int> modules by risk */
    public function modules(): array
    {
        return self::counted(array_filter($this->parts, static fn (Part $part): bool => $part->isModule));
    }

    /** @return list<string> */
    public function because(): array
    {
        return array_map(static fn (Part $part): string => $part->because, $this->parts);
    }

    /**
     * @param  array<Part>  $parts
     * @return array<string, int>
     */
    private static function counted(array $parts): array
    {
        $counts = [];
        foreach ($parts as $part) {
            $counts[$part->name] = ($counts[$part->name] ?? 0) + $part->count;
        }

        return $counts;
    }
}
