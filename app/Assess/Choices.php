<?php

declare(strict_types=1);

namespace App\Assess;

use App\Assess\Http\ChoiceResource;
use App\Assess\Models\ProvisionChoice;
use App\Catalogue\Prices;
use App\Lists\ListLoader;
use App\Lists\Models\KitList;
use App\Lists\ReadLists;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Which list each kit and module of a plan keeps, and what one costs by the piece; read once a request. */
final class Choices
{
    private const COLD_PACKS = 'pack.cold';

    /** @var array<string, ProvisionChoice>|null */
    private ?array $choices = null;

    /** @var array<string, array{int, int}>|null by list id: cost, and lines without a price */
    private ?array $costs = null;

    public function __construct(private readonly ListLoader $lists, private readonly Prices $prices)
    {
    }

    public function of(string $wanted): ?ProvisionChoice
    {
        if ($this->choices === null) {
            $this->choices = [];
            $all = ProvisionChoice::query()->with(['list', 'design']);
            $all->getQuery()->select('provision_choices.*')
                ->selectRaw('EXISTS (SELECT 1 FROM `lines` JOIN line_entries ON line_entries.line_id = `lines`.id
                    LEFT JOIN items ON items.id = line_entries.item_id WHERE `lines`.list_id = provision_choices.list_id
                    AND COALESCE(items.class, line_entries.class) = ?) AS has_cold_packs', [self::COLD_PACKS]);
            foreach ($all->get() as $choice) {
                $this->choices[$choice->wanted] = $choice;
            }
        }

        return $this->choices[$wanted] ?? null;
    }

    /** Says whether the list chosen for a kit or a module accepts a cold pack. */
    public function hasColdPacks(string $wanted): bool
    {
        return (bool) ($this->of($wanted)?->getAttribute('has_cold_packs') ?? false);
    }

    /** @return array{int, int}|null what one costs, and how many of its items have no price; null where no list is chosen */
    public function cost(string $wanted): ?array
    {
        $choice = $this->of($wanted);
        if ($choice === null) {
            return null;
        }

        return $this->costs()[$choice->list_id];
    }

    /**
     * What one of each list costs, and how many of its items have no price. A plan is calculated at every answer: it is remembered until a
     * list or the catalogue changes.
     *
     * @return array<string, array{int, int}> by list id
     */
    private function costs(): array
    {
        if ($this->costs === null) {
            $lists = [];
            foreach ($this->choices ?? [] as $choice) {
                $lists[$choice->list_id] = $choice->list;
            }
            ksort($lists);
            $revisions = implode(',', array_map(static fn (KitList $list): string => "{$list->id}.{$list->revision}", $lists));
            $catalogue = (string) DB::table('items')->selectRaw("CONCAT(COUNT(*), '.', SUM(revision), '.', MAX(id)) AS state")->value('state');
            /** @var array<string, array{int, int}> $costs */
            $costs = Cache::remember('list-costs.'.hash('sha256', "{$revisions} {$catalogue}"), 86400, function () use ($lists): array {
                KitList::query()->getModel()->newCollection(array_values($lists))
                    ->loadMissing(['lines.entries.item', 'lines.entries.limits', 'exclusions']);

                return array_map($this->calculated(...), $lists);
            });
            $this->costs = $costs;
        }

        return $this->costs;
    }

    /** @return array{int, int} */
    private function calculated(KitList $list): array
    {
        [$pieces, $unserved] = $this->lists->outfit(ListLoader::asked($list));
        [$cost, $unpriced] = $this->prices->byThePiece($pieces);

        return [$cost, $unpriced + $unserved];
    }

    /** @return list<ChoiceResource> */
    public function all(): array
    {
        return array_map(function (string $wanted): ChoiceResource {
            $choice = $this->of($wanted);
            [$each, $unpriced] = $this->cost($wanted) ?? [null, 0];

            return new ChoiceResource(
                $wanted,
                Wanted::isModule($wanted) ? 'module' : 'kit',
                Wanted::title($wanted),
                $choice === null ? null : ReadLists::ref($choice->list),
                $choice?->design_id,
                $choice?->design?->name,
                $each,
                $unpriced,
            );
        }, Wanted::all());
    }

    /** Forgets what was read, after a choice changed. */
    public function forget(): void
    {
        $this->choices = null;
        $this->costs = null;
    }
}
