<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Tests\Browser\Support\LooksForFaults;
use Tests\Browser\Support\Visit;

/** Reported without an account, handed back at the end of a shift, lent and come back: as people do it. */
final class DailyLoopTest extends BrowserTestCase
{
    use LooksForFaults;

    public function test_use_is_reported_by_the_label_confirmed_and_another_rejected(): void
    {
        $lead = $this->atDesk()->signIn('lead');
        $lead->open('/kits/QH-14')->see('Ready')->pressMore('QH-14', 'Label')->seeHeading('Label of QH-14')->see('It has no code for reports without an account.');
        $lead->press('Make a code for reports');
        $lead->click(fn () => $lead->find("//*[@role='dialog']//button[normalize-space()='Make a code for reports']"));
        $lead->see('Print it now');
        $this->assertSame([], $this->faults($lead, 'label'));
        [$small, $sheet] = [$this->codes($lead, '298 x 420'), null];
        $this->assertSame('sarcina:kit/QH-14', $small[0]);
        $this->assertMatchesRegularExpression('#/report/[\w-]{22}$#', $small[1]);
        $lead->choose('Paper', 'A4, four labels');
        $sheet = $this->codes($lead, '595 x 842');
        $this->assertSame([$small[0] => 4, $small[1] => 4], array_count_values($sheet));

        $anyone = $this->inHand();
        $anyone->open((string) parse_url($small[1], PHP_URL_PATH))->seeHeading('What was used?');
        $this->assertSame([], $this->faults($anyone, 'report without an account'));
        $this->assertStringNotContainsString('QH-14', $anyone->text(), 'item names and nothing else');
        $this->assertFalse($anyone->button('Report')->isEnabled());
        $anyone->click(fn () => $anyone->find("//button[contains(., 'Resuscitation face shield')]"));
        $anyone->press('Report 1 piece used')->seeHeading('Thank you. It is reported.')->press('Report something else');
        $anyone->click(fn () => $anyone->find("//button[contains(., 'Washproof plaster')]"));
        $anyone->press('Report 1 piece used')->seeHeading('Thank you. It is reported.');

        $lead->open('/kits/QH-14')->see('Pieces were reported used.')->see('unconfirmed: 1 × Resuscitation face shield');
        $lead->open('/')->see('QH-14')->press('Answer report QH-14')->seeHeading('Reported used from QH-14 Walk pouch B');
        $this->assertSame([], $this->faults($lead, 'reports'));
        $lead->click(fn () => $lead->find("//div[./p[contains(., 'Resuscitation face shield')]]//a[contains(., 'Confirm')]"));
        $lead->see('This confirms the report of')->fill('Why the seal was broken', 'Reported used')->press('Record 1 piece taken');
        $lead->seeHeading('QH-14 Walk pouch B')->see('Not ready.')->see('0 of 1')->dontSee('unconfirmed: 1 × Resuscitation face shield');
        $lead->press('Answer the report')->press('Reject the report: 1 × Washproof plaster, assorted')->fill('Why it is rejected', 'Counted, nothing is missing');
        $lead->click(fn () => $lead->find("//*[@role='dialog']//button[normalize-space()='Reject']"));
        $lead->see('Nothing that was reported waits for an answer.')->see('Counted, nothing is missing');
    }

    public function test_at_the_end_of_a_shift_the_shears_are_not_back(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->press('Use')->press('End of a shift')->seeHeading('End of a shift')->fill('Show only', 'QH-02')->press('Hand back QH-02');
        $visit->seeHeading('Hand back QH-02 Gallery box')->see('Is it back?');
        $this->assertSame([], $this->faults($visit, 'handing back'));
        $visit->press('Shears that cut clothing: not back')->see('not back: 1 lost');
        $visit->fill('Signed by', 'Somebody Else')->press('Record 1 piece and sign')->see('Sign with that name or its initials.');
        $visit->fill('Signed by', 'TR')->press('Record 1 piece and sign');
        // What is missing now is put back there and then.
        $visit->see('Shears that cut clothing')->wait(static fn (): bool => str_ends_with($visit->path(), '/restock'), 'The restock list does not open.');
        $visit->open('/kits/QH-02/history')->see('Handed back at the end of a shift')->see('lost, from');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
        $visit->open('/kits/QH-01/use?end=shift')->seeHeading('Hand back QH-01 Visitor desk box');
        foreach ($visit->all("//button[contains(@aria-label, ': back')]") as $button) {
            $visit->click(static fn () => $button);
        }
        $visit->fill('Signed by', 'TR')->press('Nothing used: sign')->seeHeading('QH-01 Visitor desk box');
        $visit->open('/kits/QH-01/history')->see('Handed back at the end of a shift by Tobias Renn');
    }

    public function test_pieces_are_lent_and_come_back(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/')->see('Lent to Hollowmere Rescue Team');
        $visit->press('Restock')->press('Lantern meadow chest')->press('More')->press('Lend')->seeHeading('Lend from Lantern meadow chest');
        $this->assertSame([], $this->faults($visit, 'lending'));
        $visit->fill('Show only', 'foil')->see('On the shelf: 1 lot');
        $visit->fieldThatBegins('To lend: Foil blanket')->sendKeys('2');
        $visit->fill('Lent to', 'Alder Valley Scouts');
        $due = $visit->field('To come back by');
        $visit->chrome->driver->executeScript('const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set; set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event("input", { bubbles: true }))', [$due, date('Y-m-d', time() + 3 * 86400)]);
        $visit->press('Record loan')->seeHeading('Lantern meadow chest')->see('Lent to Alder Valley Scouts')->see('2 × Foil blanket (0 of 2 back)');
        $visit->open('/')->see('Lent to Alder Valley Scouts');
        $visit->press('Came back from Alder Valley Scouts');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Record']"));
        $visit->dontSee('Lent to Alder Valley Scouts');
        $visit->press('Restock')->press('Lantern meadow chest')->see('2 × Foil blanket')->see('came back');
    }

    public function test_a_round_over_five_kits_is_walked_and_handed_over_half_done(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/pick-list')->see('Walk this round');
        $ticked = $visit->all("//div[contains(@class, 'not-printed')]//label");
        // What QH-03 and QH-07 lack is put back by other journeys.
        $asked = array_filter($ticked, static fn (RemoteWebElement $label): bool => preg_match('/QH-0[37]/', $label->getText()) !== 1);
        $this->assertGreaterThanOrEqual(5, count($asked));
        foreach (array_diff_key($ticked, array_slice($asked, 0, 5, true)) as $label) {
            $visit->click(static fn () => $label);
        }
        $visit->press('Walk this round')->seeHeading('Round from Potting shed cupboard')->see('0 of 5 kits done')->see('Into the box');
        $this->assertSame([], $this->faults($visit, 'round'));
        $first = $this->restockNext($visit);
        $visit->see('1 of 5 kits done')->see('Done by Tobias Renn');
        $second = $visit->find("(//a[starts-with(@aria-label, 'Restock QH')])[1]")->getAttribute('aria-label');
        $this->assertNotSame($first, $second);
        $visit->click(fn () => $visit->find("(//button[starts-with(@aria-label, 'Pass by QH')])[1]"));
        $visit->fill('Why', 'The room is locked');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Pass by']"));
        $visit->see('Passed by, Tobias Renn: The room is locked')->see('2 of 5 kits done');

        // Somebody else goes on with it, in hand, and without a network.
        $other = $this->inHand()->signIn('lead');
        $other->open('/restock')->see('2 of 5 kits done')->press('Go on with the round from Potting shed cupboard')->see('2 of 5 kits done');
        $other->press('Take the lists along')->see('The lists of 3 kits are on this device');
        $this->assertLessThanOrEqual(390, $other->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
        $other->chrome->network(true);
        $third = $this->restockNext($other, false);
        $other->see('It is sent as soon as the server answers.')->chrome->network(false);
        $other->see('3 of 5 kits done')->see('Done by Maren Oduya');
        $this->assertStringStartsWith('Restock QH', $third);
        $visit->open('/restock')->see('3 of 5 kits done')->press('Go on with the round from Potting shed cupboard')->press('End this round');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='End this round']"));
        $visit->see('This round has ended.');
    }

    /** Restocks the next kit of the round, as the list says. */
    private function restockNext(Visit $visit, bool $isDesk = true): string
    {
        $next = (string) $visit->find("(//a[starts-with(@aria-label, 'Restock QH')])[1]")->getAttribute('aria-label');
        $visit->press($next)->wait(static fn (): bool => str_ends_with($visit->path(), '/restock'), 'The restock list does not open.');
        if ($isDesk) {
            $visit->press('All done');
            foreach ($visit->all("//label[contains(., 'Why the seal was broken')]") as $_) {
                $visit->fill('Why the seal was broken', 'Restocked');
            }
        }
        if (! $isDesk) {
            $visit->find("//button[normalize-space()='All of this pocket done']");
        }
        while (! $isDesk && $visit->all("//button[normalize-space()='All of this pocket done']") !== []) {
            $title = $visit->find('//h1')->getText();
            $visit->press('All of this pocket done');
            $visit->wait(static fn (): bool => $visit->find('//h1')->getText() !== $title, 'It does not go on.');
        }
        $visit->press('Save and update status');

        return $next;
    }

    public function test_what_would_expire_unused_moves_and_how_many_to_carry_says_what_it_rests_on(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->press('Restock')->press('Dates ahead')->press('Move to where it is used')->seeHeading('Move to where it is used')->see('would be used that expire unused');
        $this->assertSame([], $this->faults($visit, 'rotation'));
        $visit->press('Carry out this plan')->see('Agreed by Maren Oduya');
        $visit->click(fn () => $visit->find("(//button[normalize-space()='Moved' or starts-with(@aria-label, '')][normalize-space()='Moved'])[1]"));
        $visit->see('as many from the store stand in')->press('Record move')->see('✓ Moved');
        $visit->press('End this plan');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='End this plan']"));
        $visit->dontSee('Agreed by Maren Oduya');

        $visit->press('Assess')->press('How many to carry')->seeHeading('How many to carry')->see('Choose the list for this trip');
        $visit->choose('List', 'Outdoor week kit, edition 1')->press('Calculate')->see('pieces on 28 lines');
        $this->assertSame([], $this->faults($visit, 'how many to carry'));
        $visit->fill('People', '40')->fill('Days', '14');
        $visit->click(fn () => $visit->find("//summary[normalize-space()='Chances and own records']"));
        $visit->fill('Chance that nothing runs short', '0.99')->press('Calculate')->see('of each item to reach 99 % for all of them');
        $visit->press('Calculate with that')->dontSee('of each item to reach');
        $visit->press('Make a house list')->fill('Title', 'Fortnight camp')->fill('Code', 'fortnight-camp')->press('Create list');
        $visit->see('Your earlier changes are still here')->see('28 lines');
        $this->assertStringStartsWith('Calculated for 40 people and 14 days', (string) $visit->field('Based on')->getAttribute('value'));
    }

    /** @return list<string> what the codes on the printed page say: the kit's first */
    private function codes(Visit $visit, string $size): array
    {
        $answer = $visit->chrome->driver->executeCustomCommand(
            '/session/:sessionId/chromium/send_command_and_get_result', 'POST',
            ['cmd' => 'Page.printToPDF', 'params' => ['preferCSSPageSize' => true, 'printBackground' => true]],
        );
        $file = (string) tempnam(sys_get_temp_dir(), 'label');
        file_put_contents($file, (string) base64_decode((string) ($answer['data'] ?? ''), true));
        exec('pdfinfo '.escapeshellarg($file), $info);
        $this->assertMatchesRegularExpression('/Pages:\s+1\n/', implode("\n", $info));
        [$width, $height] = explode(' x ', $size);
        $this->assertMatchesRegularExpression("/Page size:\\s+{$width}(\\.\\d+)? x {$height}|Page size:\\s+".((int) $width - 1).'\\.\\d+ x ('.((int) $height - 1)."\\.\\d+|{$height})/", implode("\n", $info));
        exec('pdftoppm -r 200 -png '.escapeshellarg($file).' '.escapeshellarg($file));
        exec('zbarimg -q --raw '.escapeshellarg("{$file}-1.png").' 2>/dev/null', $codes);
        array_map(unlink(...), glob("{$file}*") ?: []);
        sort($codes);

        return array_reverse($codes);
    }
}
