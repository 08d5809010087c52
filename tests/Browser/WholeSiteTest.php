<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;

/** What a safety officer does in a year: assess, override, sign, carry out, equip; and hand the plan to who asks about the money. */
final class WholeSiteTest extends BrowserTestCase
{
    public function test_from_a_new_area_to_the_kit_that_its_plan_asks_for(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->see('Quillhaven this year: Café kitchen has changed: A second fryer stands beside the first.')->see('Café, day shift: 2 of 3 first aiders posted.');
        $visit->open('/assess')->seeHeading('Assess')->see('A starting point, not law.');
        $visit->press('Start')->see('Give the assessment a title');
        $visit->fill('Title', 'Next season')->press('Start')->seeHeading('Next season')->see('Since Quillhaven this year: nothing has changed yet.');

        // A new area; the plan beside it follows every answer.
        $visit->press('Add an area')->see('What New area needs')->see('Nobody is there: no kit is needed.');
        $visit->fill('Area', 'Rose terrace')->see('What Rose terrace needs');
        $visit->fill('People at the busiest time', '30')->see('1 medium kit: 30 people at low hazard, 25 to 100.');
        $visit->fill('People at the busiest time', '24')->see('1 small kit: 24 people at low hazard, fewer than 25.')->dontSee('1 medium kit: 30 people');
        $visit->fill('Points', '0')->see('Enter 1 or more: floors, buildings or spots')->see('Not saved');
        $visit->fill('Points', '1')->dontSee('Enter 1 or more: floors')->see('Saved');
        $visit->click(fn (): RemoteWebElement => $visit->find("//label[contains(., 'Eyes')]//input"));
        $visit->see('1 × Eye module')->see('1 module for eye injuries: the risk is there, one for the area.');
        $visit->choose('Add a place', 'Lantern meadow post')->see('Remove');
        $visit->chrome->driver->executeScript('window.location.reload()');
        $visit->see('What Rose terrace needs')->see('1 × Eye module');
        $this->assertSame('24', $visit->field('People at the busiest time')->getAttribute('value'));

        // Another figure, but not without the reason.
        $visit->press('Override: Small kit')->see('Calculated: 1.')->fill('Override with', '2')->press('Save override')->see('Say why: the reason is printed with the plan');
        $visit->fill(
            'Why',
            'The terrace has two gates, and one of them is locked at night.',
        )->press('Save override')->see('2 instead of 1: The terrace has two gates')->see('2 × Small kit');

        $visit->press('Sign the assessment')->see('Signed by Maren Oduya on')->dontSee('Choose and sign');
        $visit->press('Plan to print')->see('Justification, 2 instead of 1: The terrace has two gates')->see('A starting point, not law.')->see('Unconfirmed lists:');
        $visit->wait(fn (): bool => $this->printed($visit) === '595 x 842', 'It does not print on A4.');
        $visit->choose('Paper', 'Letter');
        $visit->wait(fn (): bool => $this->printed($visit) === '612 x 792', 'It does not print on Letter.');

        // The difference to the kits that exist becomes work.
        $visit->chrome->driver->navigate()->back();
        $visit->press('Carry out the plan')->seeHeading('Carry out: Next season')->press('Compare with existing kits');
        $visit->see('Make a small kit with eye module for Rose terrace')->see('Put into QH-05 Kitchen burns box: sharps module');
        $task = "(//p[normalize-space()='Make a small kit with eye module for Rose terrace']/ancestor::div[.//a[normalize-space()='Equip this kit']])[last()]//a";
        $visit->click(fn (): RemoteWebElement => $visit->find($task));
        $visit->seeHeading('Equip a new kit')->see('Workplace box, small')->fill('Code', 'QH-40')->fill('Name', 'Rose terrace box')->press('Equip and fill this kit');
        $visit->seeHeading('Restock QH-40 Rose terrace box')->see('Eye module');
        foreach ($visit->all("//button[normalize-space()='All of this pocket done']") as $button) {
            $visit->click(static fn (): RemoteWebElement => $button);
        }
        $visit->press('Save and update status')->seeHeading('QH-40 Rose terrace box')->see('Eye module');
        $visit->open('/assess')->see('Next season');
        $visit->click(fn (): RemoteWebElement => $visit->find("//a[normalize-space()='Next season']"));
        $visit->press('Carry out the plan')->see('QH-40 Rose terrace box: 3 lines are not met in its module')->see('QH-40');
        $visit->press('Decline task')->press('Decline')->see('Say why this is not done');
    }

    public function test_first_aiders_are_kept_and_a_shortage_goes(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/assess/people')->see('Casimir Holt')->see('▲ expired')->see('▲ 1 too few');
        $visit->press('Add a first aider')->press('Save')->see('Enter the name.');
        $visit->fill('Name', 'Nele Arbuthnot')->press('Add a posting')->choose('Posted to', 'Café')->press('Save');
        $visit->see('Nele Arbuthnot')->dontSee('too few');
        $visit->press('Delete Nele Arbuthnot')->press('Delete permanently? Nele Arbuthnot')->dontSee('Nele Arbuthnot')->see('▲ 1 too few');
    }

    /** The size of the sheets, in points, on which the browser would print the page. */
    /** @phpstan-impure */
    private function printed(\Tests\Browser\Support\Visit $visit): string
    {
        $answer = $visit->chrome->driver->executeCustomCommand(
            '/session/:sessionId/chromium/send_command_and_get_result',
            'POST',
            ['cmd' => 'Page.printToPDF', 'params' => ['preferCSSPageSize' => true]],
        );

        preg_match_all('/MediaBox ?\[0 0 ([\d.]+) ([\d.]+)\]/', (string) base64_decode((string) ($answer['data'] ?? ''), true), $boxes);
        $sizes = array_unique(array_map(
            static fn (string $width, string $height): string => round((float) $width).' x '.round((float) $height),
            $boxes[1],
            $boxes[2],
        ));

        return implode(', ', $sizes);
    }
}
