<?php

declare(strict_types=1);

namespace Sarcina\Core\Kit;

/** What becomes of pieces past their date: out at once, or kept as reserve until replaced (job.md). */
enum ExpiryPolicy: string
{
    case Strict = 'strict';
    case Reserve = 'reserve';
}
