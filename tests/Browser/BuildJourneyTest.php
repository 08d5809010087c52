<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Browser\Support\LooksForFaults;
use Tests\Browser\Support\Visit;

/** A kit is repacked: handed over half done at the desk, and in hand without a network. */
final class BuildJourneyTest extends BrowserTestCase
{
    use LooksForFaults;

    public function test_a_kit_is_packed_half_by_one_and_finished_by_another(): void
    {
        $keeper = $this->atDesk()->signIn('keeper');
        $keeper->open('/kits/QH-12')->pressMore('QH-12', 'Repack')->seeHeading('Repack QH-12 Utility 2 kit');
        $keeper->see('From the first step until this is recorded or ended, QH-12 is not ready.')->press('Begin');
        $keeper->see('Count as it comes out.');
        $steps = count($keeper->all('//ol//button'));
        $this->assertGreaterThan(4, $steps, 'everything out, pockets, what is left over, and the end');
        $this->assertSame([], $this->faults($keeper, 'everything out'));
        $keeper->press('All as recorded')->press('Whole pocket as listed')->settle();
        $this->assertSame([], $this->faults($keeper, 'a pocket'));
        // Whoever looks at it meanwhile is told; what was done stays where the page is loaded again.
        $lead = $this->atDesk()->signIn('lead');
        $lead->open('/kits/QH-12')->see('Not ready. Do not use this kit')->see('It is being repacked.')->see('Tobias Renn has been repacking this kit');
        $lead->open('/')->see('Continue repacking')->open('/kits/QH-12/build')->see('Tobias Renn has been repacking this kit')->dontSee('Go on with it');
        $keeper->open('/kits/QH-12/build')->seeHeading('Repack QH-12 Utility 2 kit')->see('✓');
        $this->assertCount(2, $keeper->all("//ol//button[contains(., '✓')]"));
        $keeper->press('Hand over half done')->fill('What they should know', 'The scale is in the shed')->press('Hand it over');
        $keeper->seeHeading('QH-12 Utility 2 kit')->see('It is being repacked');

        $lead->open('/kits/QH-12/build')->see('Handed over half done by Tobias Renn')->see('“The scale is in the shed”')->see('1 of '.($steps - 3).' pockets packed.');
        $lead->press('Go on with it')->see('Whole pocket as listed');
        for ($pocket = 1; $pocket < $steps - 3; $pocket++) {
            $done = count($lead->all("//ol//button[contains(., '✓')]"));
            $lead->press('Whole pocket as listed');
            $lead->wait(static fn (): bool => count($lead->all("//ol//button[contains(., '✓')]")) > $done, 'The pocket is not packed.');
        }
        $lead->see('What is left over')->press('Next')->see('Weigh, seal and record');
        $this->assertSame([], $this->faults($lead, 'the end'));
        $lead->fill('Weighed, g', '9000')->see('more than 5 %.');
        $this->assertFalse($lead->button('Record and update status')->isEnabled());
        $lead->fill('Why the two are apart', 'The old bag weighs more')->press('Record and update status');
        $lead->seeHeading('QH-12 Utility 2 kit')->dontSee('It is being repacked');
        $lead->open('/kits/QH-12/history')->see('Built by Maren Oduya')->see('The old bag weighs more');
        $keeper->open('/kits/QH-12/build')->see('Begin')->dontSee('Handed over half done');
    }

    public function test_a_pouch_is_packed_in_hand_without_a_network(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->open('/kits/QH-15')->see('QH-15')->open('/kits/QH-15/build')->see('Begin');
        $visit->chrome->network(true);
        $visit->press('Begin')->see('Everything out')->see('Start of repacking QH-15');
        $visit->press('All as recorded')->see('Whole pocket as listed');
        while ($visit->all("//button[normalize-space()='Whole pocket as listed']") !== []) {
            $title = $visit->find('//h1')->getText();
            $visit->press('Whole pocket as listed');
            $visit->wait(static fn (): bool => $visit->find('//h1')->getText() !== $title, 'It does not go on.');
        }
        $visit->see('What is left over')->press('Next')->see('Weigh, seal and record');
        $this->assertFalse($visit->button('Record and update status')->isEnabled(), 'its seal was broken, and nobody said why');
        $visit->fill('Why the seal was broken', 'Repacked')->fill('Number of the new seal', 'S-4471')->press('Record and update status');
        $visit->see('It is sent as soon as the server answers.');
        $visit->chrome->network(false);
        $visit->see('QH-15 Walk pouch C')->dontSee('It is sent as soon as the server answers.');
        $visit->open('/kits/QH-15/history')->see('Built by Tobias Renn')->see('Sealed with S-4471')->open('/kits/QH-15')->dontSee('It is being repacked');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    public function test_one_is_begun_by_mistake_and_ended(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-14/build')->press('Begin')->see('Everything out');
        $visit->open('/kits/QH-14')->see('It is being repacked')->press('Continue repacking')->see('Everything out')->press('End without a record');
        $this->assertFalse($this->end($visit)->isEnabled());
        $visit->click(fn () => $visit->find("//label[contains(., 'Nothing was taken out')]"));
        $visit->click(fn () => $this->end($visit));
        $visit->seeHeading('QH-14 Walk pouch B')->dontSee('It is being repacked');
    }

    private function end(Visit $visit): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        return $visit->find("//*[@role='dialog']//button[normalize-space()='End it']");
    }
}
