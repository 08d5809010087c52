<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A check in dispute whose clock said that it was done before the check it disagrees with was taken as answered by that one. It
 * stays open until a full check that was recorded after it, and done no earlier, answers it.
 */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(<<<'SQL'
            UPDATE kits SET disputed_by = (
                SELECT MAX(operations.number)
                FROM checks JOIN operations ON operations.number = checks.operation_number
                WHERE checks.kit_id = kits.id
                AND (checks.standing = 'disputed' OR (checks.standing = 'stands' AND EXISTS (
                    SELECT 1 FROM check_rows
                    WHERE check_rows.operation_number = checks.operation_number AND check_rows.kit_id = kits.id AND check_rows.in_doubt
                )))
                AND NOT EXISTS (
                    SELECT 1 FROM checks answers JOIN operations later ON later.number = answers.operation_number
                    WHERE answers.kit_id = kits.id AND answers.standing = 'stands' AND later.kind = 'full_check'
                    AND later.number > operations.number AND later.done_at >= operations.done_at
                )
            )
            SQL);
    }
};
