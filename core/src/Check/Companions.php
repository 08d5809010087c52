<?php

declare(strict_types=1);

namespace Sarcina\Core\Check;

use Sarcina\Core\Kit\CompanionsPer;

/** What items in a kit need beside them (rules.md, check, companions). */
final readonly class Companions
{
    public function __construct(private Pieces $pieces)
    {
    }

    /** @return array<string, string> codes of items that an item with effective pieces names as companions */
    public function named(): array
    {
        $companions = [];
        foreach (array_keys($this->pieces->effective) as $key) {
            foreach ($this->pieces->there[$key]->needs as $need) {
                foreach ($need->anyOf as $code) {
                    $companions['.'.$code] = $code;
                }
            }
        }

        return $companions;
    }

    /** @return list<MissingCompanion> what items with effective pieces lack beside them */
    public function missing(): array
    {
        $missing = [];
        $asked = [];
        foreach ($this->pieces->effective as $key => $pieces) {
            $item = $this->pieces->there[$key];
            foreach ($item->needs as $need) {
                $there = 0;
                foreach ($need->anyOf as $code) {
                    $there += $this->pieces->effectiveOf($code);
                }
                if ($need->per === CompanionsPer::Kit) {
                    if ($there < $need->quantity) {
                        $missing[] = new MissingCompanion($need->anyOf, $need->quantity - $there, [$item->code]);
                    }

                    continue;
                }
                $set = $need->set();
                $asked[$set] ??= ['pieces' => -$there, 'any_of' => $need->anyOf, 'by' => []];
                $asked[$set]['pieces'] += $need->quantity * $pieces;
                $asked[$set]['by'][] = $item->code;
            }
        }
        foreach ($asked as $set) {
            if ($set['pieces'] > 0) {
                $missing[] = new MissingCompanion($set['any_of'], $set['pieces'], $set['by']);
            }
        }

        return $missing;
    }
}
