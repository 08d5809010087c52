<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\ByFinger;
use Tests\Browser\Support\ByKeyboard;
use Tests\Browser\Support\Hands;
use Tests\Browser\Support\Visit;
use Tests\Support\OnInstance;

/** A workplace of two floors and 40 people, from an empty instance to its kits and the first signed check. */
final class FirstWorkplaceTest extends BrowserTestCase
{
    private const QUARTER_OF_AN_HOUR = 900;

    public static function tearDownAfterClass(): void
    {
        OnInstance::run('first', 'stop_server', 'stop_database');
    }

    public function test_at_the_desk_by_keyboard_alone(): void
    {
        $url = $this->anew();
        $hands = new ByKeyboard($this->atDesk($url));
        $this->setUpAndAssess($hands);
        $this->makeAndFill($hands);
        // Pocket by pocket, by one key each.
        $visit = $hands->visit();
        for ($pocket = 0; $pocket < 20 && ! $this->maySign($visit); $pocket++) {
            $before = $visit->focused();
            $visit->chrome->driver->switchTo()->activeElement()->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ENTER]);
            $visit->wait(
                fn (): bool => ! in_array($visit->focused(), [$before, ''], true) || $this->maySign($visit),
                'The next pocket does not open.',
            );
        }
        $hands->press('Sign and finish');
        $this->seeItStand($hands);
        $this->assertLessThan(self::QUARTER_OF_AN_HOUR, $hands->seconds(), 'It takes longer than a quarter of an hour.');
    }

    public function test_in_hand(): void
    {
        $url = $this->anew();
        $hands = new ByFinger($this->inHand($url));
        $this->setUpAndAssess($hands);
        $this->makeAndFill($hands);
        $visit = $hands->visit();
        for ($pocket = 0; $pocket < 20 && $visit->all("//button[normalize-space()='Sign and finish']") === []; $pocket++) {
            $before = $visit->text();
            $visit->press('Whole pocket as recorded');
            $visit->wait(fn (): bool => $visit->text() !== $before, 'The next pocket does not open.');
        }
        $hands->press('Sign and finish');
        $this->seeItStand($hands);
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    private function setUpAndAssess(Hands $hands): void
    {
        $visit = $hands->visit();
        $code = (string) collect($this->on('first', 'setup_code'))->last();
        $visit->open('/')->seeHeading('Set up your organisation');
        $hands->fill('Code', $code)->fill('Name of the organisation', 'Tarn Street Office');
        $hands->fill('Your name', 'Ines Calder')->fill('Email address', 'ines@tarn.example')->fill('Password', 'seven wet umbrellas')->press('Set up');
        $visit->wait(fn (): bool => str_contains($visit->text(), 'First steps'), 'It is not set up.', 60);

        $hands->press('Places');
        $visit->see('No places yet');
        foreach ([['Tarn Street', 'Building', null], ['Ground floor', 'Floor', 'Tarn Street'], ['First floor', 'Floor', 'Tarn Street']] as [$name, $kind, $in]) {
            $hands->press('Add a place')->fill('Name', $name)->choose('Kind of place', $kind);
            if ($in !== null) {
                $hands->choose('Lies in', $in);
            }
            $hands->press('Add place');
            $visit->dontSee('People who are posted to a place')->see($name);
        }

        $this->nextStep($hands, 'Assess');
        $visit->seeHeading('Assess');
        $hands->fill('Title', 'Tarn Street 2026')->press('Start');
        $visit->seeHeading('Tarn Street 2026');
        foreach (['Ground floor', 'First floor'] as $floor) {
            $hands->press('Add an area');
            $visit->see('Nobody is there: no kit is needed.');
            $hands->fill('Area', $floor)->fill('People at the busiest time', '20')->choose('Add a place', "Tarn Street, {$floor}");
            $visit->see("What {$floor} needs")->see('1 small kit: 20 people at low hazard, fewer than 25.')->see('Saved');
        }
        $hands->press('Sign the assessment');
        $visit->see('Signed by Ines Calder on');
    }

    private function makeAndFill(Hands $hands): void
    {
        $visit = $hands->visit();
        $this->nextStep($hands, 'Lists of the plan');
        $visit->seeHeading('Lists of the plan');
        $hands->choose('List: Small kit', 'Workplace first aid kits, United Kingdom, small');
        $visit->dontSee('Not saved');
        $this->nextStep($hands, 'Carry out the plan');
        $hands->press('Compare with existing kits');
        $visit->see('Make a small kit for Ground floor')->see('Make a small kit for First floor');
        foreach (['TS-01' => 'Ground floor', 'TS-02' => 'First floor'] as $code => $floor) {
            $hands->press('Equip this kit');
            $visit->seeHeading('Equip a new kit');
            $hands->fill('Code', $code)->fill('Name', "{$floor} box")->press('Equip and fill this kit');
            $visit->see('There is no store yet');
            if ($code === 'TS-01') {
                $this->nextStep($hands, 'Carry out the plan');
            }
        }

        $this->nextStep($hands, 'Stores');
        $hands->press('Add a store')->fill('Name', 'Post room cupboard')->choose('Place', 'Tarn Street, Ground floor')->press('Add store');
        $visit->dontSee('Add store')->see('Post room cupboard');
        $this->receive($hands);

        foreach (['TS-02' => 'First floor box', 'TS-01' => 'Ground floor box'] as $code => $name) {
            $hands->press('Restock')->press("Restock {$code}");
            $visit->see("Restock {$code} {$name}");
            $this->allDone($hands);
            $hands->press('Save and update status');
            $visit->seeHeading("{$code} {$name}")->see('it was never checked');
        }
        $hands->press('Check TS-01');
        $visit->see('Check TS-01 Ground floor box');
    }

    /** @phpstan-impure */
    private function maySign(Visit $visit): bool
    {
        return $visit->button('Sign and finish')->isEnabled();
    }

    private function allDone(Hands $hands): void
    {
        if ($hands instanceof ByFinger) {
            $hands->press('More to do here');
            $hands->visit()->click(fn () => $hands->visit()->find("//li[normalize-space()='All done']"));
            $hands->press('More to do here');
            $hands->visit()->click(fn () => $hands->visit()->find("//li[normalize-space()='Seal and save']"));
        } else {
            $hands->press('All done');
        }
    }

    /** All that both kits are missing, as the list to buy says it, in one delivery. */
    private function receive(Hands $hands): void
    {
        $visit = $hands->visit();
        $hands->press('Restock')->press('To buy');
        $visit->seeHeading('What to buy');
        $rows = array_map(static fn ($row): array => [
            trim((string) preg_replace('/ critical$/', '', $row->findElements(WebDriverBy::tagName('td'))[0]->getText())),
            $row->findElements(WebDriverBy::tagName('td'))[1]->getText(),
        ], $visit->all('//tbody/tr'));
        $this->assertGreaterThan(5, count($rows));
        $hands->press('Restock')->press('Post room cupboard')->press('Receive goods');
        $visit->seeHeading('Receive goods into Post room cupboard');
        foreach ($rows as [$item, $pieces]) {
            $hands->choose('Add an item that came', $item);
            $hands->fill("Pieces: {$item}", $pieces)->fill("Lot: {$item}", 'A1')->fill("Date: {$item}", '2031-03');
        }
        $hands->press('Record receipt');
        $visit->seeHeading('Post room cupboard')->see('lot A1, expires 31 Mar 2031: received');
    }

    private function nextStep(Hands $hands, string $word): void
    {
        if ($hands instanceof ByFinger) {
            $hands->press('More');
            $hands->visit()->seeHeading('More');
        }
        $hands->press('Settings');
        $hands->visit()->seeHeading('Settings');
        $hands->press('First steps');
        $hands->visit()->seeHeading('First steps');
        $hands->press($word);
    }

    private function seeItStand(Hands $hands): void
    {
        $visit = $hands->visit();
        $visit->seeHeading('Full check of TS-01 Ground floor box')->see('signed by Ines Calder');
        $visit->open('/kits')->see('TS-01')->see('TS-02');
        $visit->open('/kits/TS-01')->see('Ready');
        $visit->open('/kits/TS-02')->see('it was never checked');
    }

    private function anew(): string
    {
        $this->on('first', 'begin_empty');

        return 'http://127.0.0.1:'.trim((string) file_get_contents(dirname(__DIR__, 2).'/var/first/port'));
    }
}
