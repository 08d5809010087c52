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
    /** @var array<string, ProvisionChoice>|null */
    private ?array $choices = null;

    /** @var array<string, array{int, int}> by list id: cost, and lines without a price */
    private array $costs = [];

    /** What the catalogue is like now. */
    private ?string $catalogue = null;

    public function __construct(private readonly ListLoader $lists, private readonly Prices $prices)
    {
    }

    public function of(string $wanted): ?ProvisionChoice
    {
        if ($this->choices === null) {
            $this->choices = [];
            foreach (
                ProvisionChoice::query()
                    ->with(['list.lines.entries.item', 'list.lines.entries.minima', 'list.exclusions', 'design'])
                    ->get() as $choice
            ) {
                $this->choices[$choice->wanted] = $choice;
            }
        }

        return $this->choices[$wanted] ?? null;
    }

    /** @return array{int, int}|null what one costs, and how many of its items have no price; null where no list is chosen */
    public function cost(string $wanted): ?array
    {
        $choice = $this->of($wanted);
        if ($choice === null) {
            return null;
        }
        if (! isset($this->costs[$choice->list_id])) {
            // A plan is calculated at every answer: the cost is remembered until the list or the catalogue changes.
            $this->catalogue ??= (string) DB::table('items')
                ->selectRaw("CONCAT(COUNT(*), '.', SUM(revision), '.', MAX(id)) AS state")
                ->value('state');
            $kept = Cache::remember(
                "list-cost.{$choice->list_id}.{$choice->list->revision}.{$this->catalogue}",
                86400,
                fn (): array => $this->calculated($choice->list),
            );
            $this->costs[$choice->list_id] = $kept;
        }

        return $this->costs[$choice->list_id];
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
    }
}
