<?php

declare(strict_types=1);

namespace App\Tasks;

/** What somebody is asked to do with a kit. */
enum TaskKind: string
{
    case Check = 'check';
    case Restock = 'restock';
    /** Pieces that a restock left in, since they still count: something is to replace them. */
    case Replace = 'replace';
    case Other = 'other';
}
