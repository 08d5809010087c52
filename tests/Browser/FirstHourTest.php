<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Visit;
use Tests\Support\OnInstance;

/** An organisation of one's own, from an empty instance to the first signed check. */
final class FirstHourTest extends BrowserTestCase
{
    private const PASSWORD = 'seven wet umbrellas';

    private static string $url = '';

    protected function setUp(): void
    {
        parent::setUp();
        if (self::$url === '') {
            $this->on('first', 'begin_empty');
            self::$url = 'http://127.0.0.1:'.trim((string) file_get_contents(dirname(__DIR__, 2).'/var/first/port'));
        }
    }

    public static function tearDownAfterClass(): void
    {
        OnInstance::run('first', 'stop_server', 'stop_database');
    }

    public function test_from_an_empty_instance_to_the_first_signed_check(): void
    {
        $code = (string) collect($this->on('first', 'setup_code'))->last();
        $visit = $this->atDesk(self::$url);
        $visit->open('/')->seeHeading('Set up your organisation');
        $visit->fill('Code', 'AAAA-BBBB-CCCC-DDDD')->fill('Name of the organisation', 'Tarn Street Office')->fill('Your name', 'Ines Calder');
        $visit->fill('Email address', 'ines@tarn.example')->fill('Password', 'password1234')->press('Set up')->see('on the list of common ones');
        $visit->fill('Password', self::PASSWORD)->press('Set up')->see('This is not the code');
        $visit->fill('Code', $code)->press('Set up');
        $visit->wait(fn (): bool => str_contains($visit->text(), 'First steps'), 'It is not set up.', 60);
        $visit->seeHeading('First steps')->see('1 of 13 done')->see('Tarn Street Office');
        $visit->open('/')->see('No kits yet')->dontSee('Every kit is ready');

        // Two floors.
        $visit->open('/places')->see('No places yet');
        $this->addPlace($visit, 'Tarn Street', 'Building');
        $this->addPlace($visit, 'Ground floor', 'Floor', 'Tarn Street');
        $this->addPlace($visit, 'First floor', 'Floor', 'Tarn Street');
        $visit->see('Floor, Tarn Street, First floor')->see('3 places');

        // A starter list, unconfirmed, packed as it is proposed but for one line that is moved.
        $visit->open('/designs/new')->seeHeading('New design')->choose('List', 'Workplace first aid kits, United Kingdom, small');
        $visit->fill('Name of the design', 'Office box')->press('Begin packing')->seeHeading('Packing Office box')->see('First grip');
        $visit->press('Review and publish')->see('Nothing stands in the way.')->press('Publish edition 1')->seeHeading('Equip a new kit');
        $visit->choose('Place', 'Tarn Street, Ground floor')->fill('Code', 'TS-01')->fill('Name', 'Ground floor box')->press('Equip and fill this kit');
        $visit->see('There is no store yet');

        $visit->open('/stores')->press('Add a store')->fill('Name', 'Post room cupboard')->choose('Place', 'Tarn Street, Ground floor')->press('Add store');
        $visit->dontSee('Add store')->see('Post room cupboard');
        $this->receive($visit);
        $visit->open('/kits/TS-01/restock')->seeHeading('Restock TS-01 Ground floor box');
        foreach ($visit->all("//button[normalize-space()='All of this pocket done']") as $at => $button) {
            $visit->click(fn () => $visit->all("//button[normalize-space()='All of this pocket done']")[$at]);
        }
        $visit->press('Save and update status')->seeHeading('TS-01 Ground floor box')->see('it was never checked');
        $visit->open('/kits/TS-01/check')->seeHeading('Check TS-01 Ground floor box');
        $this->finishAll($visit);
        $visit->seeHeading('Full check of TS-01 Ground floor box')->see('signed by Ines Calder');
        $visit->open('/start')->see('1 kit checked');
    }

    public function test_in_hand_a_second_kit_is_made_like_the_first(): void
    {
        $visit = $this->inHand(self::$url);
        $this->signIn($visit);
        $visit->open('/kits/new?like=TS-01')->seeHeading('Equip a new kit')->press('Take the next codes');
        $visit->wait(fn (): bool => $visit->field('Code')->getAttribute('value') === 'TS-02', 'No code is taken.');
        $visit->fill('Name', 'First floor box')->choose('Place', 'Tarn Street, First floor')->press('Equip and fill this kit');
        $visit->see('Restock TS-02 First floor box')->open('/kits/TS-02')->see('Not ready. Do not use this kit');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    public function test_a_colleague_is_invited_sets_up_a_second_factor_and_leaves(): void
    {
        $lead = $this->atDesk(self::$url);
        $this->signIn($lead);
        $lead->open('/settings/people')->seeHeading('People and roles')->press('Invite')->fill('Name', 'Omar Lindt')->fill('Email address', 'omar@tarn.example');
        $lead->click(fn () => $lead->find("//*[@role='dialog']//button[normalize-space()='Invite']"));
        $lead->see('Hand this link over.')->see('1 invitation waits');
        $lead->open('/settings/mail')->seeHeading('Mail tray')->see('Your account at Tarn Street Office');
        preg_match('#(/welcome/\S+)#', $lead->text(), $link);

        $colleague = $this->atDesk(self::$url);
        $colleague->open($link[1])->seeHeading('Welcome to the kits of Tarn Street Office')->fill('Password', 'short')->press('Save password')->see('at least 12 characters');
        $colleague->fill('Password', 'eight dry raincoats')->press('Save password')->seeHeading('Your password is saved');
        $colleague->open($link[1])->seeHeading('This link is no longer good');
        $colleague->open('/')->fill('Email address', 'omar@tarn.example')->fill('Password', 'eight dry raincoats')->press('Sign in')->seeHeading('Today');
        $colleague->open('/account')->seeHeading('Your account')->press('Set up second factor')->see('Or type this into the app:');
        preg_match('/type this into the app: ([A-Z2-7]{32})/', $colleague->text(), $secret);
        $colleague->fill('Code of the app', \App\Accounts\Totp::code($secret[1], intdiv(time(), 30)))->press('Turn on')->see('Write these recovery codes down now.');
        preg_match('/now\.\D*?([a-z2-7]{8}-[a-z2-7]{8})/', $colleague->text(), $recovery);
        $colleague->press('Sign out')->see('Forgotten your password?')->fill('Email address', 'omar@tarn.example')->fill('Password', 'eight dry raincoats')->press('Sign in');
        $colleague->fill('Code of your authenticator app', '000000')->press('Sign in')->see('This code is not good');
        $colleague->fill('Code of your authenticator app', $recovery[1])->press('Sign in')->seeHeading('Today');

        $lead->open('/settings/people')->press('Deactivate Omar Lindt')->see('They are signed out at once');
        $lead->click(fn () => $lead->find("//*[@role='dialog']//button[normalize-space()='Deactivate']"));
        $lead->see('ended on');
        $colleague->open('/kits')->see('Sign in');
        $colleague->fill('Email address', 'omar@tarn.example')->fill('Password', 'eight dry raincoats')->press('Sign in')->see('do not belong together');
    }

    private function signIn(Visit $visit): void
    {
        $visit->open('/')->see('Sign in')->fill('Email address', 'ines@tarn.example')->fill('Password', self::PASSWORD);
        $visit->field('Password')->sendKeys(WebDriverKeys::ENTER);
        $visit->seeHeading('Today');
    }

    private function addPlace(Visit $visit, string $name, string $kind, ?string $in = null): void
    {
        $visit->press('Add a place')->fill('Name', $name)->choose('Kind of place', $kind);
        if ($in !== null) {
            $visit->choose('Lies in', $in);
        }
        $visit->press('Add place')->dontSee('People who are posted to a place')->see($name);
    }

    /** All that the kit is missing, as the list to buy says it. */
    private function receive(Visit $visit): void
    {
        $visit->open('/to-buy')->seeHeading('What to buy');
        $rows = array_map(static fn ($row): array => [
            trim((string) preg_replace('/ critical$/', '', $row->findElements(\Facebook\WebDriver\WebDriverBy::tagName('td'))[0]->getText())),
            $row->findElements(\Facebook\WebDriver\WebDriverBy::tagName('td'))[1]->getText(),
        ], $visit->all('//tbody/tr'));
        $this->assertGreaterThan(5, count($rows));
        $visit->open('/stores')->press('Post room cupboard')->seeHeading('Post room cupboard')->press('Receive goods')->seeHeading('Receive goods into Post room cupboard');
        foreach ($rows as [$item, $pieces]) {
            $visit->choose('Add an item that came', $item);
            $visit->fieldThatBegins("Pieces: {$item}")->sendKeys($pieces);
            $visit->fieldThatBegins("Lot: {$item}")->sendKeys('A1');
            $visit->fieldThatBegins("Date: {$item}")->sendKeys('2031-03');
        }
        $visit->press('Record receipt')->seeHeading('Post room cupboard')->see('lot A1, expires 31 Mar 2031: received');
    }
}
