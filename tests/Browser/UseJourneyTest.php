<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Browser\Support\LooksForFaults;
use Tests\Browser\Support\Visit;

/** Used, not ready, put back, ready; the same without a network. */
final class UseJourneyTest extends BrowserTestCase
{
    use LooksForFaults;

    public function test_what_was_used_is_said_in_hand_and_put_back(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->open('/kits/QH-13')->see('Ready');
        $visit->press('Use')->seeHeading('Use')->see('From which kit was something taken?')->press('Use QH-13');
        $visit->seeHeading('Taken from QH-13 Walk pouch A');
        $this->assertSame([], $this->faults($visit, 'use in hand'));
        $this->assertFalse($visit->button('Record')->isEnabled());
        // A press for each piece, and one to record them.
        $this->take($visit, 'Resuscitation face shield');
        $this->take($visit, 'Washproof plaster, assorted');
        $this->take($visit, 'Washproof plaster, assorted');
        $this->assertFalse($visit->button('Record 3 pieces taken')->isEnabled(), 'its seal was broken, and nobody said why');
        $visit->fill('Why the seal was broken', 'A fall on the walk')->press('Record 3 pieces taken');
        $visit->seeHeading('QH-13 Walk pouch A')->see('Not ready.')->see('0 of 1');
        $visit->open('/')->see('QH-13')->see('it was used');
        $visit->open('/kits/QH-13/restock')->see('Resuscitation face shield');
        while ($visit->all("//button[normalize-space()='All of this pocket done']") !== []) {
            $title = $visit->find('//h1')->getText();
            $visit->press('All of this pocket done');
            $visit->wait(static fn (): bool => $visit->find('//h1')->getText() !== $title, 'It does not go on.');
        }
        $visit->press('Save and update status')->seeHeading('QH-13 Walk pouch A')->dontSee('Not ready.')->see('Ready');
        $visit->open('/kits/QH-13/history')->see('Used by Tobias Renn')->see('used from');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    public function test_it_is_said_without_a_network_and_stays_until_it_is_sent(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->open('/kits/QH-10/use')->seeHeading('Taken from QH-10 Shuttle kit');
        $visit->chrome->network(true);
        $this->take($visit, 'Foil blanket');
        $visit->press('Record 1 piece taken')->see('It is sent as soon as the server answers.')->see('What was taken from QH-10');
        $visit->chrome->network(false);
        $visit->seeHeading('QH-10 Shuttle kit')->dontSee('It is sent as soon as the server answers.');
        $visit->open('/kits/QH-10/history')->see('Used by Tobias Renn');
    }

    public function test_at_the_desk_some_is_opened_some_given_to_another_kit(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-06/use')->seeHeading('Taken from QH-06 Laboratory box');
        $this->assertSame([], $this->faults($visit, 'use at the desk'));
        $visit->fill('Find an item in this kit', 'triangular')->see('Triangular bandage')->dontSee('Washproof plaster');
        $this->take($visit, 'Triangular bandage');
        $visit->choose('Why Triangular bandage was taken', 'Moved to another kit');
        $this->assertFalse($visit->button('Record 1 piece taken')->isEnabled(), 'nobody said where to');
        $visit->fill('To the kit with the code', 'QH-99')->press('Record 1 piece taken')->see('There is no kit QH-99.');
        $visit->fill('To the kit with the code', 'QH-01')->press('Record 1 piece taken')->seeHeading('QH-06 Laboratory box');
        $visit->open('/kits/QH-01/history')->see('Used by Tobias Renn');
        $visit->open('/kits/QH-06/use')->seeHeading('Taken from QH-06 Laboratory box');
        $this->take($visit, 'Washproof plaster');
        $visit->press('Discard')->see('What you pressed here goes.');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Discard']"));
        $visit->see('Nothing yet.');
    }

    private function take(Visit $visit, string $item): void
    {
        $visit->click(fn () => $visit->find("//button[contains(., '{$item}') and contains(., 'Take') and not(@disabled)]"));
    }
}
