<?php

declare(strict_types=1);

namespace Sarcina\Core\Par;

/** What the quantity of a line grows with. */
enum Per: string
{
    /** Nothing: tools, masks and guides are carried once a trip. */
    case Trip = 'trip';
    case People = 'people';
    case PersonDays = 'person_days';
}
