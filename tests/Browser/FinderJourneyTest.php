<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The finder leads where a medic expects, however the words are typed. */
final class FinderJourneyTest extends BrowserTestCase
{
    public function test_ten_searches_lead_where_a_medic_expects(): void
    {
        $visit = $this->atDesk()->signIn('member');
        foreach ([
            'scissors' => 'Small scissors, blunt tips',
            'eye wash' => 'Eyewash bottle, 500 ml',
            'plaster strip' => 'Washproof plaster, assorted',
            'ice pack' => 'Instant cold pack',
            'sling' => 'Triangular bandage',
            'gauze packing' => 'Compressed packing gauze',
            'tourniqet' => 'Windlass tourniquet',
            'haemostatik' => 'Haemostatic gauze',
            'tweez' => 'Tweezers, fine tips',
            'space blanket' => 'Foil blanket',
        ] as $typed => $item) {
            $visit->open('/')->seeHeading('Today')->keys('/', $typed);
            $visit->wait(
                fn (): bool => str_contains($this->firstItem($visit), $item), "\"{$typed}\" does not lead to {$item}.",
            );
        }
        $visit->click(fn () => $visit->find("//*[@role='option'][contains(., 'Foil blanket')]"));
        $visit->seeHeading('Foil blanket');
    }

    private function firstItem(Support\Visit $visit): string
    {
        foreach ($visit->all("//*[@role='option']") as $option) {
            $text = $option->getText();
            // Kits, places and lots have their own addresses; items come after the kits.
            if (! str_starts_with($text, 'QH-')) {
                return $text;
            }
        }

        return '';
    }
}
