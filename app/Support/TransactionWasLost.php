<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** The database rolled a transaction back while the application was still at it. */
final class TransactionWasLost extends RuntimeException
{
}
