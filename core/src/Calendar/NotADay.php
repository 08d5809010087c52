<?php

declare(strict_types=1);

namespace Sarcina\Core\Calendar;

final class NotADay extends \DomainException
{
    public static function written(string $text): self
    {
        return new self("\"{$text}\" is not a day of the calendar; write it as YYYY-MM-DD, such as 2027-03-31.");
    }

    public static function printed(string $text): self
    {
        return new self("\"{$text}\" is not a date as printed on a pack; write YYYY-MM, such as 2027-03, or YYYY-MM-DD.");
    }

    public static function ofSeason(string $text): self
    {
        return new self("\"{$text}\" is not a day of a year; write it as MM-DD, such as 04-01.");
    }
}
