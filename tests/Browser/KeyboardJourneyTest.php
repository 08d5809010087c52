<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Keyboard;

/** The whole path with the keyboard alone, at the desk. */
final class KeyboardJourneyTest extends BrowserTestCase
{
    use Keyboard;

    public function test_from_today_through_a_check_and_a_restock_to_the_history(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->see('Do not use')->see('QH-07 Tree crew bag')->see('Haemostatic gauze: 1 of 2')->see('9 days overdue');

        // The finder goes where the kit is.
        $visit->keys('/', 'QH-07')->find("//*[@role='option'][@aria-selected='true'][contains(., 'QH-07 Tree crew bag')]");
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('QH-07 Tree crew bag');
        $visit->see('Not ready. Do not use this kit: 1 critical fault.')->see('Haemostatic gauze (lot H4471) expired on');

        $this->tabTo($visit, 'Check QH-07');
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('Check QH-07 Tree crew bag')->see('0 of 26 counted');
        // A check is a look: before it, nothing is said of what is there.
        $visit->see('No status yet')->dontSee('Ready');
        $this->waitForFocus($visit, 'Count of Windlass tourniquet');

        // ? shows the keys, Enter is as recorded, a number is a count, Shift and Enter the whole pocket.
        $visit->keys('?')->see('Keys while counting')->keys(WebDriverKeys::ESCAPE)->dontSee('Keys while counting');
        $this->tabTo($visit, 'Count of Windlass tourniquet', true);
        $visit->keys('1')->see('1 fewer')->see('Tourniquet: 1 of 2');
        $visit->keys(WebDriverKeys::BACKSPACE, '2')->dontSee('Tourniquet: 1 of 2');
        $visit->keys(WebDriverKeys::ENTER)->see('1 of 26 counted');
        $this->assertStringStartsWith('Count of Marker pen', $visit->focused());
        $visit->keys(WebDriverKeys::ENTER)->see('2 of 26 counted');
        $visit->keys('n')->see('Outside, Gloves');
        $this->waitForFocus($visit, 'Count of Nitrile gloves');

        // A condition and a date, by their keys.
        $visit->keys('c')->see('Condition of Nitrile gloves, large')->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ARROW_DOWN);
        $this->tabTo($visit, 'How many of', true, 6);
        $visit->chrome->driver->switchTo()->activeElement()->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $visit->keys('1', WebDriverKeys::ENTER)->see('▲ damaged');
        $this->waitForFocus($visit, 'Count of Nitrile gloves');
        $visit->keys('d');
        $this->waitForFocus($visit, 'Date of Nitrile gloves');
        $visit->chrome->driver->switchTo()->activeElement()->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $visit->keys('13/27')->see('There is no such day or month')->keys(WebDriverKeys::ENTER);
        $this->waitForFocus($visit, 'Count of Nitrile gloves');
        $visit->see('3 of 27 counted')->keys('d');
        $this->waitForFocus($visit, 'Date of Nitrile gloves');
        $visit->keys(WebDriverKeys::END)->keys(
            WebDriverKeys::BACKSPACE,
            WebDriverKeys::BACKSPACE,
            WebDriverKeys::BACKSPACE,
            WebDriverKeys::BACKSPACE,
            WebDriverKeys::BACKSPACE,
        );
        $visit->keys('12 MAR 27', WebDriverKeys::ENTER)->see('expires 12 Mar 2027');
        $this->waitForFocus($visit, 'Count of Nitrile gloves');
        // The date that was typed is not the record's: it is settled at the row, while it is typed.
        $visit->see('12 Mar 2027: this lot is not on record.');
        $this->tabTo($visit, 'It is a new lot');
        $visit->keys(WebDriverKeys::ENTER)->dontSee('this lot is not on record')->settle();
        $visit->chrome->driver->executeScript('window.location.reload()');
        $visit->seeHeading('Check QH-07 Tree crew bag')->see('expires 12 Mar 2027')->see('▲ damaged');

        // The rest, pocket by pocket: one key each, and the last leads to the signature.
        $this->tabTo($visit, 'Count of Nitrile gloves', true);
        for ($pocket = 0; $pocket < 14 && $visit->focused() !== 'Sign and finish'; $pocket++) {
            $this->wholePocket($visit);
        }
        $visit->see('27 of 27 counted')->see('Not ready')->see('Gloves: 3 of 4')->keys(WebDriverKeys::ENTER);

        $visit->seeHeading('Full check of QH-07 Tree crew bag')->see('signed by Tobias Renn')->see('Not ready on')->see('Not ready. Do not use this kit')->see('is damaged');
        $this->tabTo($visit, 'Restock this kit');
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('Restock QH-07 Tree crew bag')->see('expired, to be disposed of');
        for ($step = 0; $step < 120 && $visit->focused() !== 'Save and update status'; $step++) {
            if ($visit->focused() === 'All of this pocket done') {
                $visit->keys(WebDriverKeys::ENTER);
            }
            $visit->keys(WebDriverKeys::TAB);
        }
        $visit->see($this->allDone($visit));
        $this->tabTo($visit, 'Save and update status');
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('QH-07 Tree crew bag')->see('Ready. Everything on the list is there, and in date until the next check');

        $this->tabTo($visit, 'More actions for QH-07');
        $visit->keys(WebDriverKeys::ENTER);
        $visit->wait(fn (): bool => $visit->focused() === 'What can it deal with?', 'The menu has no focus.');
        $visit->keys(WebDriverKeys::ARROW_DOWN);
        $visit->wait(fn (): bool => $visit->focused() === 'History', 'The arrow does not move the focus.');
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('History of QH-07 Tree crew bag')->see('Restocked by Tobias Renn')->see('Full check by Tobias Renn')->see('disposed of, from Deep wounds, good')->see('found damaged, recorded as good');
    }

    public function test_the_keyboard_goes_on_from_the_heading_of_each_screen(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $focused = fn (): string => (string) $visit->chrome->driver->executeScript('return document.activeElement.tagName + " " + document.activeElement.id');
        $this->tabTo($visit, 'Lists');
        $visit->keys(WebDriverKeys::ENTER)->seeHeading('Lists');
        $visit->wait(fn (): bool => trim($focused()) === 'H1', 'The heading is not in focus.');
        $visit->keys(WebDriverKeys::TAB);
        $this->assertSame('Items', $visit->focused(), 'The first that can be pressed below it.');
        $visit->open('/kits/QH-01')->seeHeading('QH-01 Visitor desk box')->keys(WebDriverKeys::TAB);
        $this->assertSame('Skip to the content', $visit->focused());
        $visit->keys(WebDriverKeys::ENTER);
        $visit->wait(fn (): bool => $focused() === 'DIV content', 'The content is not in focus.');
        $this->assertSame(1, count($visit->all('//main')));
    }

    public function test_a_large_kit_takes_few_keys(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-16/check')->seeHeading('Check QH-16 Lantern festival post')->see('0 of 42 counted');
        $visit->wait(fn (): bool => str_starts_with($visit->focused(), 'Count of'), 'No count is in focus.');
        $keys = 0;
        for ($pocket = 0; $visit->focused() !== 'Sign and finish'; $pocket++) {
            $this->assertLessThan(40, $pocket, 'The pockets do not end.');
            if ($pocket < 3) {
                // Something is missing in each of the first three.
                $visit->keys('0');
                $keys++;
            }
            $keys += $this->wholePocket($visit);
        }
        $visit->see('42 of 42 counted')->see('Not ready')->keys(WebDriverKeys::ENTER)->seeHeading('Full check of QH-16 Lantern festival post');
        $this->assertLessThanOrEqual(60, $keys + 1);
        $this->assertSame($pocket + 4, $keys + 1, 'A key for each pocket, one for each deviation, one to sign.');
    }

    private function allDone(\Tests\Browser\Support\Visit $visit): string
    {
        $steps = count($visit->all("//input[@type='checkbox']"));

        return "{$steps} of {$steps} done";
    }
}
