<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Due\NextCheck;

/** Writes the answer of the `due` rule as `sarcina.due/1`. */
final class NextCheckDocument
{
    public const FORMAT = 'sarcina.due/1';

    /** @return array{format: string, next: string|null, kind: string|null, because: string|null, overdue_days: int} */
    public static function of(NextCheck $check): array
    {
        return [
            'format' => self::FORMAT,
            'next' => $check->day === null ? null : (string) $check->day,
            'kind' => $check->kind?->value,
            'because' => $check->because?->value,
            'overdue_days' => $check->overdueDays,
        ];
    }
}
