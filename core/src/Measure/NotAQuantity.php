<?php

declare(strict_types=1);

namespace Sarcina\Core\Measure;

final class NotAQuantity extends \DomainException
{
    public static function written(string $text): self
    {
        return new self("\"{$text}\" is not a number, one space and a unit, such as \"12 cm\".");
    }

    public static function unitNotKnown(string $text, string $unit): self
    {
        return new self("\"{$text}\": the unit \"{$unit}\" is not known; units are ".implode(' ', array_column(Unit::cases(), 'value')).'.');
    }
}
