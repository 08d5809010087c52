<?php

declare(strict_types=1);

namespace Sarcina\Core\Provision;

/**
 * The risks that follow from what an assessor answers about a place, besides those that are named.
 * Where help is further away than half an hour, the place is taken as remote; the figure is a
 * starting point of this product and not law.
 */
final class Answers
{
    public const REMOTE_MINUTES = 30;

    /**
     * @param  int  $children  the most on site at one time
     * @param  int  $minutesToHelp  until an ambulance is at the patient
     * @param  list<Risk>  $named
     * @return list<Risk> in the order of the enum, each once
     */
    public static function risks(int $children, int $minutesToHelp, array $named): array
    {
        return array_values(array_filter(Risk::cases(), static fn (Risk $risk): bool => match (true) {
            array_filter($named, static fn (Risk $one): bool => $one === $risk) !== [] => true,
            $risk === Risk::Children => $children > 0,
            $risk === Risk::Remote => $minutesToHelp > self::REMOTE_MINUTES,
            default => false,
        }));
    }
}
