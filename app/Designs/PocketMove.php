<?php

declare(strict_types=1);

namespace App\Designs;

use App\Judging\ContentRow;

/** Pieces of a kit that go into another of its pockets. */
final readonly class PocketMove
{
    /**
     * @param  string  $to  id of the pocket
     * @param  string  $toName  "Lid, top net"
     * @param  string  $text  "2 × Foil blanket, from Lid, top net to Main, blankets"
     */
    public function __construct(
        public ContentRow $row,
        public string $fromName,
        public string $to,
        public string $toName,
        public string $text,
    ) {
    }
}
