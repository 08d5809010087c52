<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Keyboard;
use Tests\Browser\Support\Visit;

/** Two people look into one kit: what the later one found is never undone by the earlier one, and what is in doubt is never Ready. */
final class TwoLooksTest extends BrowserTestCase
{
    use Keyboard;

    public function test_the_earlier_look_arrives_late_by_keyboard_alone(): void
    {
        $first = $this->atDesk()->signIn('keeper');
        $this->openByFinder($first, 'QH-G3', 'QH-G3 Orchard gate station');
        $this->tabTo($first, 'Check QH-G3');
        $first->keys(WebDriverKeys::ENTER)->seeHeading('Check QH-G3 Orchard gate station');
        $this->waitForFocus($first, 'Count of');
        $first->settle()->chrome->network(true);
        $this->signByKeyboard($first);
        $first->see('Signed and saved on this device');

        $second = $this->atDesk()->signIn('lead');
        $this->openByFinder($second, 'QH-G3', 'QH-G3 Orchard gate station');
        $this->tabTo($second, 'Check QH-G3');
        $second->keys(WebDriverKeys::ENTER)->seeHeading('Check QH-G3 Orchard gate station');
        $this->waitForFocus($second, 'Count of');
        $this->tabTo($second, 'Count of Windlass tourniquet', true);
        $second->keys('0')->see('1 fewer');
        $this->signByKeyboard($second);
        $second->seeHeading('Full check of QH-G3 Orchard gate station')->see('Not ready on');

        $first->chrome->network(false);
        $first->seeHeading('Full check of QH-G3 Orchard gate station')->see('A later check was recorded before this one arrived');
        $this->openByFinder($first, 'QH-G3', 'QH-G3 Orchard gate station');
        $first->see('Not ready. Do not use this kit')->dontSee('Ready. Everything on the list is there');
        $this->tabTo($second, 'Today');
        $second->keys(WebDriverKeys::ENTER)->seeHeading('Today')->see('Tourniquet: 1 by this check, 0 by check')->see('QH-G3 Orchard gate station');
    }

    public function test_the_earlier_look_arrives_late_in_hand(): void
    {
        $first = $this->inHand()->signIn('keeper');
        $first->open('/kits/QH-01/check')->see('Check QH-01 Visitor desk box')->settle()->chrome->network(true);
        $this->signInHand($first);
        $first->see('Signed and saved on this device');

        $second = $this->inHand()->signIn('lead');
        $second->open('/kits/QH-01/check')->see('Check QH-01 Visitor desk box');
        $this->signInHand($second, 'Resuscitation face shield');
        $second->seeHeading('Full check of QH-01 Visitor desk box')->see('Not ready on');

        $first->chrome->network(false);
        $first->seeHeading('Full check of QH-01 Visitor desk box')->see('A later check was recorded before this one arrived');
        $first->open('/kits/QH-01')->see('Not ready. Do not use this kit')->dontSee('Ready. Everything on the list is there');
        $second->open('/')->see('by this check, 0 by check')->see('QH-01 Visitor desk box');
        $second->open('/kits/QH-01/history')->see('Full check by Tobias Renn')->see('Full check by Maren Oduya');
    }

    public function test_two_at_once_with_the_server_at_hand(): void
    {
        $first = $this->atDesk()->signIn('keeper');
        $second = $this->atDesk()->signIn('lead');
        $first->open('/kits/QH-02/check')->seeHeading('Check QH-02 Gallery box')->settle();
        $second->open('/kits/QH-02/check')->seeHeading('Check QH-02 Gallery box')->settle();
        $this->gone($second, 'Resuscitation face shield');
        $this->finishAll($second);
        $second->seeHeading('Full check of QH-02 Gallery box')->see('Not ready on');
        // The other one had begun before that, and did not see it.
        $this->finishAll($first);
        $first->seeHeading('Full check of QH-02 Gallery box');
        $first->open('/kits/QH-02')->see('Not ready. Do not use this kit')->dontSee('Ready. Everything on the list is there')->see('disagree');
        $second->open('/')->see('QH-02 Gallery box')->see('by this check');
    }

    public function test_a_clock_that_nobody_compared_puts_the_order_in_doubt_and_the_worse_look_holds(): void
    {
        $first = $this->atDesk()->signIn('keeper');
        $first->open('/kits/QH-04/check')->seeHeading('Check QH-04 Arid house box')->settle()->kept('/api/kits/QH-04');
        $this->instance('stop_server');
        try {
            // The page begins anew without the server: its clock was never compared with anything.
            $first->chrome->driver->get('about:blank');
            $first->open('/kits/QH-04/check')->seeHeading('Check QH-04 Arid house box');
            $this->finishAll($first);
            $first->see('Signed and saved on this device')->settle()->chrome->network(true);
        } finally {
            $this->instance('start_server');
        }
        $second = $this->atDesk()->signIn('lead');
        $second->open('/kits/QH-04/check')->seeHeading('Check QH-04 Arid house box');
        $this->gone($second, 'Resuscitation face shield');
        $this->finishAll($second);
        $second->seeHeading('Full check of QH-04 Arid house box')->see('Not ready on');

        $first->chrome->network(false);
        $first->seeHeading('Full check of QH-04 Arid house box');
        $first->open('/kits/QH-04')->see('Not ready. Do not use this kit')->dontSee('Ready. Everything on the list is there')->see('disagree');
        $second->open('/')->see('QH-04 Arid house box')->see('by this check');
    }

    private function openByFinder(Visit $visit, string $code, string $heading): void
    {
        $visit->chrome->driver->executeScript('document.activeElement.blur()');
        $visit->keys('/', $code)->find("//*[@role='option'][@aria-selected='true'][contains(., '{$heading}')]");
        $visit->keys(WebDriverKeys::ENTER)->seeHeading($heading);
    }

    private function signByKeyboard(Visit $visit): void
    {
        $visit->wait(fn (): bool => $visit->focused() !== '', 'Nothing is in focus.');
        for ($pocket = 0; $pocket < 14 && $visit->focused() !== 'Sign and finish'; $pocket++) {
            $this->wholePocket($visit);
        }
        $visit->keys(WebDriverKeys::ENTER);
    }

    /** One pocket to a screen; what is named was found gone. */
    private function signInHand(Visit $visit, ?string $gone = null): void
    {
        for ($pocket = 0; $pocket < 20 && ! str_starts_with($this->heading($visit), 'Finish'); $pocket++) {
            if ($gone !== null && str_contains($visit->text(), $gone)) {
                $this->gone($visit, $gone);
            }
            $before = $this->heading($visit);
            $visit->press('Whole pocket as recorded')->wait(fn (): bool => $this->heading($visit) !== $before, 'The next pocket does not open.');
        }
        $visit->press('Sign and finish');
    }

    private function heading(Visit $visit): string
    {
        return preg_replace('/,[^,]*$/', '', $visit->find('//h1')->getText()) ?? '';
    }

    private function gone(Visit $visit, string $item): void
    {
        $count = $visit->fieldThatBegins("Count of {$item}");
        $count->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $count->sendKeys('0');
    }
}
