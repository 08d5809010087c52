<?php

declare(strict_types=1);

namespace App\Cope;

use App\Accounts\Models\Organisation;
use App\Catalogue\Catalogue;
use App\Catalogue\Measures;
use App\Cope\Http\EmergencyNeedResource;
use App\Cope\Http\EmergencyResource;
use App\Lists\EntryContent;
use App\Lists\Http\EntryResource;

/** The kinds of emergency with what each casualty takes, in words. */
final class ReadEmergencies
{
    public function __construct(
        private readonly Emergencies $emergencies,
        private readonly Catalogue $catalogue,
        private readonly Measures $measures,
        private readonly Organisation $organisation,
    ) {
    }

    /** @return list<EmergencyResource> */
    public function __invoke(): array
    {
        return array_map(fn (array $one): EmergencyResource => new EmergencyResource(
            $one[0]->code, $one[0]->title, $one[0]->scope->value, $one[0]->basis, $one[0]->revision,
            $one[0]->confirmed_at === null ? null : $this->organisation->dayOf($one[0]->confirmed_at), $one[0]->confirmedBy?->name,
            array_map(fn (NeedContent $need): EmergencyNeedResource => new EmergencyNeedResource(
                $need->code, $need->title, $need->quantity, $need->isReusable, array_map($this->entry(...), $need->accepts),
            ), $one[1]->needs),
            $one[1]->helpers,
        ), $this->emergencies->all());
    }

    private function entry(EntryContent $entry): EntryResource
    {
        $item = $entry->item === null ? null : $this->catalogue->item($entry->item);

        return new EntryResource(
            $entry->item, $entry->class, $this->measures->resources($entry->min), $this->measures->resources($entry->max), $item?->caution,
            $item->name ?? $this->measures->ofClass((string) $entry->class, $entry->min, $entry->max),
        );
    }
}
