<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** A check in progress survives a reload, a lost connection, a stopped server and a session that ends. */
final class NothingIsLostTest extends BrowserTestCase
{
    public function test_a_reload_and_a_lost_connection(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-04/check')->seeHeading('Check QH-04 Arid house box')->press('Whole pocket as recorded');
        $visit->see('3 of 28 counted')->settle();
        $visit->chrome->driver->executeScript('window.location.reload()');
        $visit->see('3 of 28 counted');
        $visit->chrome->network(true);
        // Without the server nothing is said of a count, least of all that it is ready.
        $count = $visit->fieldThatBegins('Count of First aid guidance leaflet');
        $count->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $count->sendKeys('0');
        $visit->see('No status for what you counted last')->see('The server did not answer.')->dontSee('Ready if the other');
        $count->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $count->sendKeys('1');
        $visit->dontSee('No status for what you counted last');
        $this->finishAll($visit);
        $visit->see('Signed and saved on this device')->see('Saved on this device, and sent as soon as the server answers: Check of QH-04.');
        $visit->chrome->network(false);
        $visit->seeHeading('Full check of QH-04 Arid house box')->see('all as recorded')->dontSee('Saved on this device');
    }

    public function test_a_server_that_stops_while_one_checks(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-12/check')->seeHeading('Check QH-12 Utility 2 kit')->press('Whole pocket as recorded')->kept('/api/kits/QH-12');
        $this->instance('stop_server', 'stop_database');
        try {
            $this->finishAll($visit);
            $visit->see('Signed and saved on this device')->settle();
            // Even a reload without a server shows what was opened before, and what waits.
            $visit->chrome->driver->executeScript('window.location.reload()');
            $visit->see('Saved on this device, and sent as soon as the server answers: Check of QH-12.');
        } finally {
            $this->instance('start_database', 'start_server');
        }
        $visit->wait(fn (): bool => str_contains($visit->text(), 'Full check of QH-12 Utility 2 kit'), 'The check is not sent.', 30);
        $visit->press('History')->seeHeading('History of QH-12 Utility 2 kit')->see('Full check by Tobias Renn');
    }

    public function test_what_is_read_on_a_page_that_was_loaded_past_its_worker_is_on_the_device_too(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-04')->seeHeading('QH-04 Arid house box')->kept('/api/kits/QH-04');
        (new ChromeDevToolsDriver($visit->chrome->driver))->execute('Page.reload', ['ignoreCache' => true]);
        $visit->seeHeading('QH-04 Arid house box');
        // All at once, as a reader of codes types it: what was found by less of it is another kit.
        $visit->keys('/', 'QH-05', WebDriverKeys::ENTER)->seeHeading('QH-05 Kitchen burns box')->kept('/api/kits/QH-05');
        $this->instance('stop_server');
        try {
            $visit->open('/kits/QH-05')->seeHeading('QH-05 Kitchen burns box');
        } finally {
            $this->instance('start_server');
        }
    }

    public function test_a_signed_check_that_is_refused_needs_its_checker_on_every_screen(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-13')->seeHeading('QH-13 Walk pouch A');
        $visit->open('/kits/QH-06/check')->seeHeading('Check QH-06 Laboratory box')->press('Whole pocket as recorded');
        $visit->open('/check')->press('1 check on this device')->seeHeading('Waiting to be sent')->see('Begun on this device, not signed yet');
        $visit->press('Go on with it: Check of QH-06')->seeHeading('Check QH-06 Laboratory box')->fill('Note', str_repeat('Much to say. ', 45));
        $visit->chrome->network(true);
        $this->finishAll($visit);
        $visit->see('Signed and saved on this device');
        $visit->press('Today')->see('sent as soon as the server answers: Check of QH-06');
        $visit->chrome->network(false);
        $visit->see('Needs you: Check of QH-06 was not accepted.')->see('A note has 500 characters at the most.');
        $visit->press('Pack')->see('Needs you: Check of QH-06 was not accepted.');
        $visit->press('Correct: Check of QH-06')->seeHeading('Check QH-06 Laboratory box');
        $visit->fill('Note', 'Said shortly')->press('Sign and finish')->seeHeading('Full check of QH-06 Laboratory box')->dontSee('Needs you');
    }

    public function test_a_session_that_ends_while_one_types(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-08/check')->seeHeading('Check QH-08 First climber\'s set');
        $visit->fill('Note', 'Strap a little worn');
        $visit->chrome->driver->manage()->deleteCookieNamed('sarcina_session');
        $this->finishAll($visit);
        $visit->see('The session has ended')->see('Sign in again to continue. What you typed is still on the page.');
        $visit->field('Password')->sendKeys(\Database\Seeders\DemoSeeder::PASSWORD.\Facebook\WebDriver\WebDriverKeys::ENTER);
        $visit->seeHeading('Full check of QH-08 First climber\'s set')->see('Note: Strap a little worn');
    }

    public function test_a_check_goes_on_after_the_page_was_closed_without_a_server_and_is_sent_once(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $checks = fn (): int => substr_count($visit->open('/kits/QH-02/history')->see('Equip')->text(), 'Full check by');
        $before = $checks();
        $visit->open('/kits/QH-02/check')->seeHeading('Check QH-02 Gallery box')->press('Whole pocket as recorded')->fill('Note', 'Lid is stiff')->settle()->kept('/api/kits/QH-02');
        $this->instance('stop_server');
        try {
            $visit->chrome->driver->get('about:blank');
            $visit->open('/kits/QH-02/check')->seeHeading('Check QH-02 Gallery box');
            $this->assertSame('Lid is stiff', $visit->find('//textarea')->getText());
            $this->finishAll($visit);
            $visit->see('Signed and saved on this device')->settle();
            $visit->chrome->driver->get('about:blank');
        } finally {
            $this->instance('start_server');
        }
        $visit->open('/waiting')->see('Nothing of yours waits on this device');
        $this->assertSame($before + 1, $checks(), 'It is recorded once.');
    }

    public function test_a_restock_is_ticked_and_kept(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-03/restock')->seeHeading('Restock QH-03 Tropical house box')->press('All of this pocket done')->settle();
        $ticked = fn (): int => (int) $visit->chrome->driver->executeScript('return document.querySelectorAll("input:checked").length');
        $before = $ticked();
        $visit->see('2 of 2 done')->chrome->driver->executeScript('window.location.reload()');
        $visit->see('Read the list anew');
        $this->assertSame([2, 2], [$before, $ticked()]);
        $visit->chrome->network(true);
        $visit->press('Save and update status')->see('Saved on this device. It is sent as soon as the server answers.');
        $visit->press('Today')->see('Saved on this device, and sent as soon as the server answers: Restock of QH-03.');
        $visit->chrome->network(false);
        $visit->dontSee('Restock of QH-03')->open('/kits/QH-03/history')->see('Restocked by Tobias Renn');
    }

    public function test_what_is_not_sent_stays_locked_for_its_person(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-14')->seeHeading('QH-14 Walk pouch B');
        $visit->open('/kits/QH-10/check')->seeHeading('Check QH-10 Shuttle kit')->fill('Note', 'Door jams')->settle();
        $visit->press('Sign out')->see('Not everything is sent')->press('Stay, and show what waits')->seeHeading('Waiting to be sent')->see('Check of QH-10');
        $visit->press('Sign out')->see('Only you can open it here')->press('Sign out, leave it locked here')->see('Sign in');
        $visit->see('1 record of Tobias Renn on this device not finished');
        $this->assertSame([], $visit->chrome->driver->executeAsyncScript(
            'const done = arguments[0]; caches.keys().then((names) => done(names.filter((name) => name.startsWith("sarcina-read"))))',
        ), 'What was read is gone.');
        $visit->signIn('lead')->seeHeading('Today')->open('/waiting')->see('Nothing of yours waits on this device')->see('Only Tobias Renn can open them');
        $visit->press('Sign out')->see('Sign in')->signIn('keeper')->open('/waiting')->press('Go on with it: Check of QH-10');
        $visit->seeHeading('Check QH-10 Shuttle kit');
        $this->assertSame('Door jams', $visit->find('//textarea')->getText());
    }

    public function test_records_about_people_are_never_kept_on_the_device(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/kits/QH-01')->seeHeading('QH-01 Visitor desk box');
        $visit->open('/assess/people')->see('Casimir Holt');
        $visit->open('/kits/QH-01/history')->see('Equipped');
        $visit->open('/items')->seeHeading('Items')->see('of 112 items');
        $kept = fn (): array => (array) $visit->chrome->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            (async () => {
                const paths = [];
                for (const name of await caches.keys()) {
                    for (const request of await (await caches.open(name)).keys()) {
                        paths.push(new URL(request.url).pathname);
                    }
                }
                done(paths);
            })();
        JS);
        $visit->wait(fn (): bool => in_array('/api/items', $kept(), true), 'What was read is not kept.');
        $this->assertContains('/', $kept(), 'The page itself.');
        $this->assertSame([], array_values(array_filter($kept(), static fn (string $path): bool => preg_match('#people|session|device-keys|history|import|export#', $path) === 1)));
    }

    public function test_somebody_elses_role(): void
    {
        $visit = $this->atDesk()->signIn('member');
        $visit->open('/kits/QH-07')->seeHeading('QH-07 Tree crew bag');
        $visit->press('More actions for QH-07')->see('Compare with a list')->dontSee('Kit file');
        $visit->open('/kits/QH-07/restock')->see('Your role may not open this page');
    }

    public function test_an_earlier_look_that_arrives_late_never_makes_a_kit_ready(): void
    {
        $first = $this->atDesk()->signIn('keeper');
        $first->open('/kits/QH-G1/check')->seeHeading('Check QH-G1 Rose gate station')->settle();
        $first->chrome->network(true);
        $this->finishAll($first);
        $first->see('Signed and saved on this device');
        // Another one looks after that, and finds the tourniquet gone.
        $second = $this->atDesk()->signIn('lead');
        $second->open('/kits/QH-G1/check')->seeHeading('Check QH-G1 Rose gate station');
        $count = $second->fieldThatBegins('Count of Windlass tourniquet');
        $count->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $count->sendKeys('0');
        $this->finishAll($second);
        $second->seeHeading('Full check of QH-G1 Rose gate station')->see('Not ready on');
        $first->chrome->network(false);
        $first->seeHeading('Full check of QH-G1 Rose gate station')->see('A later check was recorded before this one arrived');
        $first->open('/kits/QH-G1')->see('Not ready. Do not use this kit')->dontSee('Ready. Everything on the list is there');
        $second->open('/kits/QH-G1/history')->see('Full check by Tobias Renn')->see('Full check by Maren Oduya');
        $second->open('/')->see('2 entries')->see('Tourniquet: 1 by this check, 0 by check');
        $second->see('QH-G1 Rose gate station');
    }

    public function test_in_hand_another_name_is_signed_with_the_reason_and_the_note_waits_for_an_answer(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->open('/kits/QH-G2/check')->seeHeading('Front, At hand, 0 of 2')->see('No status yet');
        foreach (range(1, 3) as $pocket) {
            $visit->press('Whole pocket as recorded');
        }
        $visit->seeHeading('Finish, 6 of 6')->fill('Note', 'The hinge squeaks');
        $name = $visit->field('Signed by');
        $name->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $name->sendKeys('Petra Vandrell');
        $visit->see('You are signed in as Tobias Renn');
        $this->assertFalse($visit->button('Sign and finish')->isEnabled());
        $visit->fill('Why it is signed by another name', 'She counted, I typed')->press('Sign and finish');
        $visit->see('Petra Vandrell (account of Tobias Renn)')->see('She counted, I typed');
        $visit->open('/kits/QH-G2')->see('The hinge squeaks')->press('Answer: The hinge squeaks');
        $visit->fill('What was done about it', 'Oiled')->press('Record answer')->dontSee('The hinge squeaks');
        $visit->open('/')->dontSee('The hinge squeaks');
    }
}
