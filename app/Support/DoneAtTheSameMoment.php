<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** The same thing was sent twice, and the other request was done first: whoever begins anew finds what it recorded. */
final class DoneAtTheSameMoment extends RuntimeException
{
}
