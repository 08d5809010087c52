<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The whole path by touch, in hand. */
final class TouchJourneyTest extends BrowserTestCase
{
    public function test_a_kit_is_equipped_filled_checked_and_read(): void
    {
        $visit = $this->inHand()->signIn('lead');
        $visit->press('More')->press('Pack: kits by place')->seeHeading('Kits by place')->press('Equip a new kit')->seeHeading('Equip a new kit');
        $visit->press('Equip and fill this kit')->see('Give the kit the code that will be on its label')->see('Choose a design.');
        $visit->choose('Design', 'Bleeding-control set')->choose('Place', 'Tree yard, Saw shed')->fill('Code', 'qh-30')->fill('Name', 'Spare set for visitors');
        $visit->choose('For', 'people with special training')->press('Equip and fill this kit');

        // One pocket to a screen: on top where one is, at the thumb what goes on.
        $visit->seeHeading('Front, At hand, 0 of 2 done')->see('Restock QH-30 Spare set for visitors');
        $pieces = function (string $typed) use ($visit): void {
            $field = $visit->fieldThatBegins('Pieces: Put in Windlass tourniquet');
            $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
            $field->sendKeys($typed);
        };
        $pieces('x');
        $visit->see('A whole number of pieces.');
        $visit->press('All of this pocket done')->seeHeading('Inside, Wounds, 0 of 2 done');
        $visit->press('All of this pocket done')->seeHeading('Inside, Hands and tools, 0 of 2 done');
        $visit->press('All of this pocket done')->seeHeading('Finish, 6 of 6 done');
        $this->assertFalse($visit->button('Save and update status')->isEnabled());
        $visit->press('Back to the first pocket');
        $pieces('1');
        $visit->press('Next')->press('Next')->press('Next');
        $visit->press('Save and update status')->seeHeading('QH-30 Spare set for visitors')->see('Not checked yet. Nobody has checked this kit in full.')->see('it was never checked');

        $visit->press('Check QH-30')->seeHeading('Front, At hand, 0 of 2')->see('Check QH-30 Spare set for visitors')->see('0 of 6 rows counted');
        $visit->press('As recorded: 1, Windlass tourniquet, '.$this->lotOf($visit, 'Windlass tourniquet'))->seeHeading('Front, At hand, 1 of 2');
        $visit->click(fn () => $visit->find("//button[starts-with(@aria-label, 'One fewer of Windlass tourniquet')]"));
        $visit->see('1 fewer')->see('No status yet');
        $visit->click(fn () => $visit->find("//button[starts-with(@aria-label, 'One more of Windlass tourniquet')]"));
        // The open kit unfolds, and what discards is in a menu that asks.
        $visit->press('Unfold the kit: all pockets')->see('Hands and tools')->press('Fold the kit');
        $visit->press('More to do here')->see('Leave, and keep what is counted');
        $visit->click(fn () => $visit->find("//li[@role='menuitem'][normalize-space()='Discard check']"));
        $visit->see('What was counted goes.')->press('Cancel')->dontSee('What was counted goes.');
        // One press a pocket where all is as recorded.
        $visit->press('Whole pocket as recorded')->seeHeading('Inside, Wounds, 0 of 2');
        $visit->press('Whole pocket as recorded')->seeHeading('Inside, Hands and tools, 0 of 2');
        $visit->press('Whole pocket as recorded')->seeHeading('Finish, 6 of 6');
        $visit->press('Sign and finish')->seeHeading('Full check of QH-30 Spare set for visitors')->see('signed by Maren Oduya')->see('all as recorded')->see('Ready. Everything on the list is there');
        $visit->press('History')->seeHeading('History of QH-30 Spare set for visitors')->see('Full check by Maren Oduya')->see('Restocked by Maren Oduya')->see('put into At hand, from Potting shed cupboard');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    public function test_what_is_pressed_in_hand_is_large_enough(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        foreach (['/', '/kits/QH-05', '/kits/QH-05/check', '/kits/QH-05/restock', '/kits/QH-05/use', '/kits/QH-05/build'] as $path) {
            $visit->open($path)->wait(
                fn (): bool => ! str_contains($visit->text(), 'Reading…') && $visit->all('//h1') !== [],
                'The page stays empty.',
            );
            $small = $visit->chrome->driver->executeScript(<<<'JS'
                return [...document.querySelectorAll('button, input:not([type=checkbox]), [role=combobox]')]
                    .filter((one) => one.offsetParent !== null)
                    .map((one) => { const box = (one.closest('.MuiInputBase-root') ?? one).getBoundingClientRect(); return [
                        one.ariaLabel ?? one.innerText, Math.round(box.width), Math.round(box.height),
                    ]; })
                    .filter(([, width, height]) => (width < 44 || height < 44) && width > 0 && !(width >= 24 && height >= 44));
            JS);
            $this->assertSame([], $small, $path);
        }
    }

    private function lotOf(\Tests\Browser\Support\Visit $visit, string $item): string
    {
        $label = (string) $visit->fieldThatBegins("Count of {$item}, ")->getAttribute('aria-label');

        return preg_match('/, (lot \S+|no lot), /', $label, $lot) === 1 ? $lot[1] : '';
    }
}
