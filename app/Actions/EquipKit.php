<?php

declare(strict_types=1);

namespace App\Actions;

use App\Judging\KitStates;
use App\Models\Kit;
use App\Models\PlanTask;
use App\Models\User;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;

/** Makes a new kit of a design: an empty bag with a code at a place. It is filled by restocking it. */
final class EquipKit
{
    public function __construct(
        private readonly KitStates $states,
        private readonly CloseTask $tasks,
    ) {
    }

    /**
     * @param  array{id: string, code: string, name: string, design_id: string, place_id: string, scope: string}  $kit
     * @param  PlanTask|null  $task  of a plan that asked for it: its modules go in, and it is done
     */
    public function __invoke(array $kit, User $by, CarbonInterface $at, string $day, ?PlanTask $task = null): Kit
    {
        return DB::transaction(function () use ($kit, $by, $at, $day, $task): Kit {
            $known = Kit::query()->find($kit['id']);
            if ($known !== null) {
                return $known;
            }
            $made = new Kit([...$kit, 'seal' => 'none', 'last_movement' => 0]);
            $made->save();
            ChangeKit::record($made, 'made', "Made at {$made->place->path}, of the design {$made->design->name}", $by, $at);
            if ($task !== null) {
                $this->tasks->made($task, $made, $by, $at, $day);
            }
            $this->states->renew($made, $day);

            return $made;
        });
    }
}
