<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\ByKeyboard;
use Tests\Browser\Support\Visit;

/** Designs are packed on the open kit: by keyboard alone, by dragging, by two people at once. */
final class PackJourneyTest extends BrowserTestCase
{
    public function test_a_design_is_made_from_nothing_by_keyboard_alone(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $keys = new ByKeyboard($visit);
        $visit->open('/designs');
        $keys->press('New design');
        $visit->seeHeading('New design');
        $keys->choose('Begin with', 'A list, and no pocket yet')->choose('List', 'Individual bleeding-control set')
            ->fill('Name of the design', 'Belt pouch')->press('Begin packing');
        $visit->seeHeading('Packing Belt pouch')->see('Not in a pocket yet')->see('These lines have no pocket.');
        // Two pockets, each named where it was just added.
        $this->addPocket($keys, 'Pocket 1')->fill('Name', 'At hand');
        $this->addPocket($keys, 'Pocket 1')->fill('Name', 'Behind it')->choose('Closed by', 'Zip');
        foreach (['1 × Windlass tourniquet', '1 × Marker pen, permanent', '1 × Shears that cut clothing'] as $line) {
            $keys->press($line)->choose('Lives in', 'Main, At hand');
        }
        foreach ($visit->all("//*[@aria-label='Not in a pocket yet']//button") as $at => $left) {
            $keys->press(trim((string) preg_replace('/\s+/', ' ', $visit->find("//*[@aria-label='Not in a pocket yet']//button")->getText())))->choose('Lives in', 'Main, Behind it');
        }
        $visit->see('Every line has a pocket.');
        $this->assertSame(3, count($visit->all("//*[@data-pocket='At hand']//button[@data-line]")));
        // A step back, and forth again.
        $visit->chrome->driver->executeScript('document.activeElement.blur()');
        $visit->chrome->driver->getKeyboard()->sendKeys([WebDriverKeys::CONTROL, 'z']);
        $visit->dontSee('Every line has a pocket.');
        $keys->press('Redo');
        $visit->see('Every line has a pocket.');
        // What was packed stays where the page is loaded again.
        $visit->open('/designs/new')->see('A new design that you began is still on this device.');
        $keys->press('Go on with it');
        $visit->seeHeading('Packing Belt pouch')->see('Every line has a pocket.');
        $keys->press('Review and publish');
        $visit->see('Nothing stands in the way.');
        $keys->press('Publish edition 1');
        $visit->seeHeading('Equip a new kit')->open('/designs')->see('Belt pouch, edition 1');
    }

    public function test_a_line_is_dragged_and_advice_is_set_aside(): void
    {
        $visit = $this->pack('Tree crew bag');
        $line = "//*[@data-pocket='Cut and tape']//button[@data-line='L10']";
        $this->drag($visit, $line, "//*[@data-pocket='Limbs']");
        $visit->wait(fn (): bool => $visit->all("//*[@data-pocket='Limbs']//button[@data-line='L10']") !== [], 'It was not moved.');
        $visit->see('Outside, Limbs')->see('Zinc oxide tape and Shears that cut clothing');
        $text = $visit->find("//li[contains(., 'Self-heating blanket must be started 5 minutes before it works')]");
        $visit->click(fn () => $text->findElement(\Facebook\WebDriver\WebDriverBy::xpath(".//button[normalize-space()='Set aside']")));
        $visit->fill('Why', 'The crew knows it.');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Set aside']"));
        $visit->see('Set aside: The crew knows it.');
        $visit->press('Review and publish')->see('What it changes in each kit')->see('QH-07 Tree crew bag')->see('from Bleeding, Cut and tape to Outside, Limbs');
        $visit->press('Publish edition 2')->seeHeading('Designs')->see('1 kit not on edition 2 yet');
    }

    public function test_two_leads_at_once_join_what_they_packed(): void
    {
        $mine = $this->pack('Event post box');
        $theirs = $this->pack('Event post box');
        $this->rename($theirs, 'Burns', 'Burns and scalds');
        $theirs->press('Review and publish')->press('Publish edition 2')->seeHeading('Designs');
        $this->rename($mine, 'Wounds', 'Bleeding');
        $mine->press('Review and publish')->see('Nothing stands in the way.')->press('Publish edition 2');
        $mine->see('Event post box was changed meanwhile')->see('The pocket Burns: changed.');
        $mine->press('Join both')->see('Joined with edition 2. Look it over, then publish.');
        $this->assertCount(1, $mine->all("//*[@data-pocket='Burns and scalds']"));
        $this->assertCount(1, $mine->all("//*[@data-pocket='Bleeding']"));
        $mine->press('Review and publish')->press('Publish edition 3')->seeHeading('Designs')->see('Event post box, edition 3');
    }

    public function test_a_kit_is_set_to_the_lantern_evening_and_back(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-16')->see('Set to no configuration');
        $visit->click(fn () => $visit->find("//a[normalize-space()='Change configuration']"));
        $visit->seeHeading('Configuration of QH-16 Lantern festival post')->see('Eye roll slot: Eye roll')->see('to add 1 × Head torch');
        $visit->press('Set QH-16 to Lantern evening')->seeHeading('QH-16 Lantern festival post');
        $visit->see('Set to Lantern evening')->see('Not ready. Do not use this kit')->see('Eye roll, missing from its slot');
        $visit->open('/kits/QH-16/configuration')->press('Set QH-16 to no configuration')->seeHeading('QH-16 Lantern festival post');
        $visit->see('Set to no configuration')->dontSee('Eye roll, missing from its slot');
        $visit->open('/kits/QH-16/history')->see('Set to Lantern evening');
    }

    public function test_a_line_begins_and_a_kit_differs_on_purpose(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/kits/QH-07')->see('not yet covered.')->see('Asked for once this begins: hot work begins in the yard.');
        $visit->open('/designs')->press('It has begun: Burn dressing, while there is hot work in the yard');
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Save']"));
        $visit->see('is asked for from')->open('/kits/QH-07')->see('Burn dressing, while there is hot work in the yard: 0 of 2');
        $visit->open('/designs')->press('It has ended: Burn dressing, while there is hot work in the yard')->see('is not asked for until this begins');

        $tin = $this->pack('Comfort tin');
        $this->rename($tin, 'Comforts', 'Treats');
        $tin->press('Review and publish')->press('Publish edition 2')->seeHeading('Designs');
        $visit->open('/')->see('Editions to follow')->see('Edition 2 of Comfort tin is published; this kit keeps edition 1.');
        $visit->open('/kits/QH-18')->press('Let it differ on purpose')->fill('What is otherwise', 'Old labels')->fill('Why', 'New ones are printed');
        $visit->find("//*[@role='dialog']//input[@type='date']")->sendKeys((new \DateTimeImmutable('+9 days'))->format('mdY'));
        $visit->click(fn () => $visit->find("//*[@role='dialog']//button[normalize-space()='Save']"));
        $visit->see('Differs on purpose until')->open('/')->dontSee('Edition 2 of Comfort tin is published');
        $visit->open('/kits/QH-18')->press('End this exception')->dontSee('Differs on purpose until')->open('/')->see('Edition 2 of Comfort tin is published');
    }

    /** What was just added has the focus, to be named at once. */
    private function addPocket(ByKeyboard $keys, string $called): ByKeyboard
    {
        $keys->press('Add a pocket to Main');
        $named = static fn (): bool => $keys->visit->chrome->driver->executeScript('return document.activeElement.value') === $called;
        $keys->visit->wait($named, "{$called} is not to be named.");

        return $keys;
    }

    private function pack(string $design): Visit
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/designs')->press("Change packing of {$design}")->seeHeading("Packing {$design}");
        $visit->wait(fn (): bool => $visit->all('//button[@data-line]') !== [], 'No line is shown.');

        return $visit;
    }

    private function rename(Visit $visit, string $pocket, string $to): void
    {
        $visit->click(fn () => $visit->find("//*[@data-pocket='{$pocket}']/button[1]"));
        $visit->fill('Name', $to);
        $visit->wait(fn (): bool => $visit->all("//*[@data-pocket='{$to}']") !== [], "It is not called {$to}.");
    }

    /** As a hand drags, with the events that a browser makes of it. */
    private function drag(Visit $visit, string $from, string $to): void
    {
        $visit->chrome->driver->executeScript(
            "const data = new DataTransfer();
            const fire = (one, kind) => one.dispatchEvent(new DragEvent(kind, { bubbles: true, cancelable: true, dataTransfer: data }));
            fire(arguments[0], 'dragstart'); fire(arguments[1], 'dragover'); fire(arguments[1], 'drop'); fire(arguments[0], 'dragend');",
            [$visit->find($from), $visit->find($to)],
        );
    }
}
