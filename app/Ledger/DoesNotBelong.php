<?php

declare(strict_types=1);

namespace App\Ledger;

use LogicException;

/** Something was to be recorded in an operation of a kind that it is no part of. */
final class DoesNotBelong extends LogicException
{
}
