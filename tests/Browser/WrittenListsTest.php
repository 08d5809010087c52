<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;

/** Lists from the shelf to one's own: confirmed line by line, a new edition with its effect, files brought in. */
final class WrittenListsTest extends BrowserTestCase
{
    public function test_a_list_is_confirmed_beside_ones_own_copy_and_changes_only_by_a_new_edition(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/lists')->see('Modules, one for each risk');
        $visit->click(fn (): RemoteWebElement => $visit->find("//a[normalize-space()='Eye module']"));
        $visit->seeHeading('Eye module, edition 1')->see('not confirmed')->press('Confirm')->seeHeading('Confirm Eye module, edition 1')->see('0 of 4 lines compared')->see('Asks for 2 pieces');
        $visit->press('Matches my copy')->see('1 of 4 lines compared')->see('✓ matches');
        $visit->press('Differs')->see('Enter the figure of your own copy.')->fill('Figure in my copy', '8')->press('Differs')->see('2 of 4 lines compared')->see('≠ differs, 8');
        $visit->press('Not in my copy')->see('3 of 4 lines compared')->see('– not in my copy');
        $visit->press('Matches my copy')->see('Every line is compared')->press('Confirm this edition');
        $visit->seeHeading('Eye module, edition 1')->see('✓ Confirmed on')->see('by Maren Oduya, line by line')->see('3 lines')->see('the starter list had 6')->dontSee('not confirmed');

        $visit->press('Make a new edition')->fill('Edition', '1')->press('Create edition')->see('There is an edition 1 of this list already');
        $visit->fill('Edition', '2')->press('Create edition')->seeHeading('Change Eye module, edition 2');
        $visit->fill('How many', '4');
        $visit->chrome->driver->executeScript('window.location.reload()');
        $visit->see('Your earlier changes are still here');
        $this->assertSame('4', $visit->field('How many')->getAttribute('value'));
        $visit->press('Add a line')->press('Save list')->see('▲ Correct the line without a need.')->see('Say what the line is needed for');
        $visit->fill('Need 4', 'Tweezers')->choose('Item for Tweezers', 'Tweezers, fine tips')->press('Save list');
        $visit->seeHeading('Eye module, edition 2')->press('Changes since edition 1')->see('2 before, now 4.')->see('+ new')->see('Tweezers');
    }

    public function test_an_edition_shows_what_each_kit_would_lack_before_it_is_adopted(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/lists');
        $visit->click(fn (): RemoteWebElement => $visit->find("//tr[contains(., 'superseded')]//a"));
        $visit->see('✓ Confirmed on');
        $visit->click(fn (): RemoteWebElement => $visit->find("//p[contains(., 'Editions:')]//a"));
        $visit->press('Changes since edition 1')->see('Tourniquet')->see('1 before, now 2.')->see('QH-08 First climber')->see('Foil blanket: 0 of 1, to add 1 × Foil blanket');
        $visit->press('Publish edition 2 of Bleeding-control set')->see('Choose the pocket in which');
        $visit->choose('Pocket for Foil blanket', 'Front, At hand')->press('Publish edition 2 of Bleeding-control set')->see('Kits that still keep edition 1');
        // Kits follow one by one, when somebody has looked at what that asks for.
        $visit->open('/kits/QH-09')->see('edition 2 is published')->dontSee('Foil blanket: 0 of 1');
        $visit->press('See what would change')->see('Tourniquet: 1 of 2, to add 1 × Windlass tourniquet');
        $visit->press('Adopt edition 2 for QH-09')->seeHeading("QH-09 Second climber's set");
        $visit->see('Not ready. Do not use this kit')->see('Put in 1 × Windlass tourniquet.')->dontSee('edition 2 is published');
        $visit->open('/kits/QH-08')->see('edition 2 is published')->dontSee('Tourniquet: 1 of 2');
    }

    public function test_a_check_leaves_a_sealed_module_closed_and_the_module_is_moved(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-17/check')->see('Whole pocket as recorded');
        foreach (range(1, 7) as $pocket) {
            $visit->press('Whole pocket as recorded');
        }
        $visit->see('QH-M1 Eye roll is closed with a seal')->dontSee('EY-1407')->fill('Number on the seal of QH-M1 Eye roll', 'EY-1407')
            ->press('The seal is whole, leave it closed');
        $visit->press('Sign and finish')->see('As signed')->see('all as recorded');
        $visit->open('/kits/QH-M1')->see('is judged together with it')->see('intact by the record');
        $visit->open('/kits/QH-17')->press('Remove module QH-M1')->see('Missing from the slot Eye roll: Eye roll')->see('Not ready. Do not use this kit');
        $visit->choose('A module that is in no kit', 'QH-M1 Eye roll, Visitor centre, School room')->press('Add module');
        $visit->see('In the slot Eye roll, closed with a seal')->dontSee('Missing from the slot');
    }

    public function test_a_list_of_two_hundred_lines_draws_what_is_near_and_the_rest_when_it_comes_near(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $list = $visit->chrome->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            (async () => {
                const { csrf } = await (await fetch('/api/session')).json();
                const headers = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': csrf };
                const send = async (method, path, body) => (await fetch(path, { method, headers, body: JSON.stringify(body) })).json();
                const made = await send('POST', '/api/lists', { code: 'two-hundred', title: 'Two hundred lines' });
                const items = await (await fetch('/api/choices/items')).json();
                const lines = Array.from({ length: 200 }, (_, at) => ({
                    code: `L${at + 1}`, need: `Need number ${at + 1}`, rank: 'required', quantity: 1, reason: null,
                    accepts: [{ item: items[at % items.length].code }],
                }));
                await send('PUT', `/api/lists/${made.id}`, { base: 1, title: 'Two hundred lines', size: null, basis: 'A test', excludes: [], lines });
                done(made.id);
            })();
        JS);
        $visit->open("/lists/{$list}/edit")->see('200 lines');
        $drawn = fn (): int => count($visit->all("//input[@role='combobox']"));
        $visit->wait(fn (): bool => $drawn() > 5, 'No line is drawn.');
        $this->assertLessThan(40, $drawn(), 'Two hundred at once take seconds.');
        $visit->wait(function () use ($visit): bool {
            $visit->chrome->driver->executeScript('window.scrollTo(0, document.body.scrollHeight)');

            return $visit->all("//input[@value='Need number 200']") !== [];
        }, 'The last line is not drawn.');
    }

    public function test_a_kit_is_held_against_another_list(): void
    {
        $visit = $this->inHand()->signIn('member');
        $visit->open('/compare?subject=kit:QH-01')->choose('List and edition', 'Workplace first aid kits, United Kingdom, large');
        $visit->see('○ short')->see('● met')->see('What is needed?')->see('In all:')->see('Unconfirmed starter list.');
        $visit->choose('Kit or design', 'Design: Workplace box, large')->see('It meets this list: 16 of 16 lines are met.')->see('Nothing: every line is met');
    }

    public function test_a_sheet_is_previewed_and_taken_whole_or_not_at_all(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $sheet = tempnam(sys_get_temp_dir(), 'sheet').'.csv';
        $bring = function (string $rows) use ($visit, $sheet): void {
            file_put_contents($sheet, "code,name,class,dated,sterile,mass_g,scope,reserve,purpose\n{$rows}");
            $visit->open('/exchange')->see('Import');
            $visit->all("//input[@type='file']")[0]->sendKeys($sheet);
            $visit->press('Preview changes');
        };
        $bring("mat-kneeling,Kneeling mat,tool.mat,no,no,heavy,anyone,yes,Keeps knees dry\n");
        $visit->see('▲ 1 record with errors. Nothing was imported.')->see('▲ error')->see('mass_g');
        $bring("mat-kneeling,Kneeling mat,tool.mat,no,no,180,anyone,yes,Keeps knees dry\n");
        $visit->see('1 of 1 read: 1 new, 0 changed, 0 same, 0 with errors')->choose('Show', 'as they are')->see('There is no such record in the file.')->choose('Show', 'new')->see('+ new')->press('Import all (1 new, 0 changed)')->see('✓ Imported: 1 new');
        $visit->open('/items/mat-kneeling')->seeHeading('Kneeling mat')->see('180 g a piece');
        unlink($sheet);
    }
}
