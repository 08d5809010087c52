<?php

declare(strict_types=1);

namespace App\Exchange\Http;

use OpenApi\Attributes as OA;

/** A file that is brought in: read step by step, previewed as a difference, then taken whole or not at all. */
#[OA\Schema]
final readonly class ImportResource
{
    /**
     * @param  list<ImportRowResource>  $shown
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property(enum: ['catalogue', 'lists', 'designs', 'kits'])]
        public string $kind,
        #[OA\Property(enum: ['json', 'csv'])]
        public string $format,
        #[OA\Property]
        public string $file_name,
        #[OA\Property(enum: ['reading', 'ready', 'refused', 'taking', 'done'])]
        public string $state,
        #[OA\Property]
        public int $rows,
        #[OA\Property]
        public int $read,
        #[OA\Property]
        public int $taken,
        #[OA\Property]
        public int $new,
        #[OA\Property]
        public int $changed,
        #[OA\Property]
        public int $same,
        #[OA\Property]
        public int $errors,
        #[OA\Property]
        public string $by,
        #[OA\Property]
        public string $made_at,
        #[OA\Property]
        public ?string $done_at,
        #[OA\Property(description: 'why it was not imported when somebody asked for it')]
        public ?string $problem,
        #[OA\Property(items: new OA\Items(ref: ImportRowResource::class))]
        public array $shown,
    ) {
    }
}
