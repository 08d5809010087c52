<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Kits\Models\Place;
use App\Ledger\Location;
use App\Ledger\LotMovement;
use App\Ledger\Operation;
use App\Ledger\OperationKind;
use App\Ledger\Record;
use App\Support\Transaction;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Copies the demo kits with their contents until there are so many, for measuring; never on an instance that serves people. */
final class FleetMake extends Command
{
    protected $signature = 'fleet:make {kits}';

    protected $description = 'Makes a fleet of kits for bin/sarcina bench, in its own database';

    public function handle(Record $record, KitStates $states): int
    {
        if (config('app.env') === 'production') {
            $this->error('This is for measuring only, in an instance of its own: use bin/sarcina bench --fleet.');

            return self::FAILURE;
        }
        $today = Organisation::current()->today();
        $by = User::query()->where('role', 'lead')->firstOrFail();
        $models = Kit::byThemselves()->whereDoesntHave('modules')->with('holdings')->orderBy('code')->get()->all();
        $wanted = (int) $this->argument('kits');
        $order = (int) Place::query()->max('walk_order');
        for ($made = count($models), $place = null; $made < $wanted; $made++) {
            $model = $models[$made % count($models)];
            if ($made % 6 === 0 || $place === null) {
                $place = Place::query()->create([
                    'kind' => 'spot', 'name' => "Spot {$made}", 'path' => "Fleet, spot {$made}",
                    'walk_order' => $order += 10,
                ]);
            }
            Transaction::run(function () use ($model, $made, $place, $record, $states, $by, $today): void {
                $lastFull = $model->last_full_on === null ? null : Carbon::parse($model->last_full_on)->subDays($made % 5)->toDateString();
                $kit = new Kit([
                    'code' => sprintf('FL-%05d', $made), 'name' => "{$model->name} {$made}",
                    'design_edition_id' => $model->design_edition_id, 'place_id' => $place->id, 'scope' => $model->scope,
                    'seal' => $model->seal, 'seal_number' => $model->seal_number, 'used_on' => $model->used_on,
                    'last_full_on' => $lastFull, 'last_operation' => 0,
                ]);
                $kit->save();
                $movements = [];
                foreach ($model->holdings as $holding) {
                    $movements[] = new LotMovement(
                        $holding->lot_id,
                        $holding->quantity,
                        null,
                        Location::pocket($kit->id, (string) $holding->pocket_id, $holding->condition),
                        'received',
                    );
                }
                $operation = Operation::now(Str::lower((string) Str::ulid()), OperationKind::Equip, $by, now(), $today);
                $record->write($operation->of([$kit])->with($movements), fn () => $states->renew($kit, $today));
            });
        }
        $this->info(Kit::query()->count().' kits.');

        return self::SUCCESS;
    }
}
