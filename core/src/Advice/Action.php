<?php

declare(strict_types=1);

namespace Sarcina\Core\Advice;

/** The action that solves a finding. A keeper restocks, checks or repacks the kit; a lead sees to its people or its list. */
enum Action: string
{
    case Restock = 'restock';
    case Check = 'check';
    case Remove = 'remove';
    case People = 'people';
    /** Change the list: it excludes every item that the line accepts, or accepts none that is known. */
    case List = 'list';
    case Leave = 'leave';
    /** Confirm or reject a report of use. */
    case Report = 'report';
    /** Finish the repack that was begun. */
    case Repack = 'repack';
    /** Prepare the item, and record it. */
    case Prepare = 'prepare';
}
