<?php

declare(strict_types=1);

namespace App\Checks;

use App\Judging\ContentRow;
use App\Kits\Models\Kit;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Due\Seal;

/** Which modules of a kit a full check opened, and which it left closed because their seals are whole. */
final readonly class OpenedModules
{
    /**
     * @param  list<Kit>  $kits  that were opened
     * @param  list<string>  $relied  ids of those that were not
     * @param  array<string, string|null>  $seals  numbers of the seals that were set, by code
     */
    private function __construct(
        public array $kits,
        public array $relied,
        private array $seals,
    ) {
    }

    /**
     * @param  list<ModuleAtCheck>  $modules
     * @param  bool  $isLate  other things were recorded since: a seal that is broken by now was whole then
     */
    public static function of(Kit $kit, array $modules, bool $isLate = false): self
    {
        $said = [];
        foreach ($modules as $index => $one) {
            $module = $kit->modules->firstWhere('code', $one->code);
            if ($module === null && $isLate) {
                continue;
            }
            if ($module === null) {
                throw ValidationException::withMessages([
                    "modules.{$index}.code" => "Kit {$kit->code} has no module {$one->code} in it. Open the kit again.",
                ]);
            }
            if ($one->relied && $module->seal !== Seal::Intact && ! $isLate) {
                throw ValidationException::withMessages([
                    "modules.{$index}.relied" => "Module {$one->code} has no intact seal on record: open it and count what is in it.",
                ]);
            }
            // The number is read from the module itself: who types it has had the seal in hand.
            if ($one->relied && ! $isLate && ! $module->isSealedWith($one->sealFound)) {
                throw ValidationException::withMessages([
                    "modules.{$index}.seal_found" => "This is not the seal on record of {$one->code}. Read the number on it once more. ".
                        'If another seal is on it, somebody opened it: open it, say why and count what is in it.',
                ]);
            }
            $said[$one->code] = $one;
        }
        $isClosed = static fn (Kit $module): bool => $said[$module->code]->relied ?? false;

        return new self(
            array_values($kit->modules->reject($isClosed)->all()),
            array_values($kit->modules->filter($isClosed)->pluck('id')->all()),
            array_map(static fn (ModuleAtCheck $one): ?string => $one->sealSet, $said),
        );
    }

    public function sealSet(Kit $module): ?string
    {
        return $this->seals[$module->code] ?? null;
    }

    /**
     * Rows of what was opened, and of what was left closed.
     *
     * @param  list<ContentRow>  $rows
     * @return array{list<ContentRow>, list<ContentRow>}
     */
    public function apart(array $rows): array
    {
        $apart = [[], []];
        foreach ($rows as $row) {
            $apart[in_array(strstr($row->pocketId, '.', true), $this->relied, true) ? 1 : 0][] = $row;
        }

        return $apart;
    }
}
