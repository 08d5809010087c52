<?php

declare(strict_types=1);

namespace App\Kits\Http;

use App\Builds\Http\OpenBuild;
use App\Checks\Http\CheckNote;
use App\Checks\Http\CheckRef;
use App\Designs\Http\DesignEditionRef;
use App\Lists\Http\ListRef;
use OpenApi\Attributes as OA;

/** A kit: what it is, what is in it, and whether it is ready. */
#[OA\Schema]
final readonly class KitResource
{
    /**
     * @param  list<CheckNote>  $notes
     * @param  list<ModuleResource>  $modules  in it, and those that are missing from their slots
     * @param  list<LeafResource>  $leaves
     * @param  list<ContentResource>  $contents
     * @param  list<PlannedLine>  $planned
     * @param  list<string>  $configurations
     */
    public function __construct(
        #[OA\Property]
        public string $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $design,
        #[OA\Property]
        public string $design_name,
        #[OA\Property(description: 'that it keeps')]
        public DesignEditionRef $edition,
        #[OA\Property(nullable: true, description: 'a later edition of its design that it does not keep yet')]
        public ?DesignEditionRef $later_edition,
        #[OA\Property(nullable: true, description: 'the kit that it is a module in')]
        public ?ModuleOf $module_of,
        #[OA\Property(items: new OA\Items(ref: ModuleResource::class))]
        public array $modules,
        #[OA\Property]
        public ListRef $list,
        #[OA\Property]
        public PlaceRef $place,
        #[OA\Property]
        public string $scope,
        #[OA\Property]
        public string $scope_because,
        #[OA\Property]
        public ?string $retired_on,
        #[OA\Property]
        public bool $sealed_design,
        #[OA\Property]
        public SealResource $seal,
        #[OA\Property]
        public ?string $used_on,
        #[OA\Property]
        public BaseResource $base,
        #[OA\Property]
        public VerdictResource $verdict,
        #[OA\Property]
        public DueResource $due,
        #[OA\Property(items: new OA\Items(ref: LeafResource::class))]
        public array $leaves,
        #[OA\Property(items: new OA\Items(ref: ContentResource::class))]
        public array $contents,
        #[OA\Property]
        public ?CheckRef $last_check,
        #[OA\Property(items: new OA\Items(ref: CheckNote::class), description: 'left at checks of it, and not answered yet')]
        public array $notes,
        #[OA\Property(items: new OA\Items(ref: PlannedLine::class), description: 'not asked for yet')]
        public array $planned,
        #[OA\Property(nullable: true, description: 'to which mission or season it is set')]
        public ?string $configuration,
        #[OA\Property(items: new OA\Items(type: 'string'), description: 'that its edition has')]
        public array $configurations,
        #[OA\Property(nullable: true, description: 'that it differs from the others of its design on purpose')]
        public ?ExceptionResource $exception,
        #[OA\Property(nullable: true, description: 'that it is being repacked')]
        public ?OpenBuild $build,
        #[OA\Property(nullable: true, enum: ['build', 'report', 'check', 'restock', 'people'], description: 'the action to offer first, as on Today')]
        public ?string $job,
    ) {
    }
}
