<?php

declare(strict_types=1);

namespace App\Uses;

/** Why pieces were taken out of a kit. */
enum WhyTaken: string
{
    case Used = 'used';
    case Training = 'training';
    case Given = 'given';
    case Lost = 'lost';
    case Moved = 'moved';

    /** As the record names it. */
    public function reason(): string
    {
        return $this === self::Moved ? 'transferred' : $this->value;
    }
}
