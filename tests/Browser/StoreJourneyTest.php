<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Visit;

/** Goods come in, a shelf is counted, pieces go to another store: at the desk, and in hand without a network. */
final class StoreJourneyTest extends BrowserTestCase
{
    public function test_goods_are_received_counted_and_moved(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->press('Restock')->press('Potting shed cupboard')->press('Receive goods')->seeHeading('Receive goods into Potting shed cupboard');
        $visit->choose('Add an item that came', 'Shears that cut clothing');
        $this->type($visit, 'Pieces: Shears', '6')->type($visit, 'Lot: Shears', 'W-2201');
        $visit->fill('Supplier', 'Harbour Medical Supplies')->fill('Delivery note', 'D-1188')->press('Record receipt');
        $visit->seeHeading('Potting shed cupboard')->see('from Harbour Medical Supplies, delivery note D-1188')->see('6 × Shears that cut clothing, lot W-2201: received');

        $visit->press('Count')->seeHeading('Count Potting shed cupboard')->fill('Show only', 'W-2201')->see('On the shelf: 1 lot');
        $this->type($visit, 'Counted: Shears', '5');
        $visit->press('Record count')->see('What you counted differs from the record');
        $visit->fill('Why the count differs', 'One is in the office drawer')->press('Record count')->seeHeading('Potting shed cupboard')->see('fewer than recorded');

        $visit->press('Move')->seeHeading('Move stock from Potting shed cupboard')->fill('Show only', 'W-2201')->see('5 on record');
        $this->type($visit, 'To move: Shears', '9');
        $visit->choose('To which store', 'Lantern meadow chest')->press('Record move')->see('9 were to be taken, but 5 are recorded there.');
        $this->type($visit, 'To move: Shears', '2');
        $visit->press('Record move')->seeHeading('Potting shed cupboard')->see('to Lantern meadow chest');
    }

    public function test_in_hand_without_a_network_it_waits_and_is_sent(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->press('Restock')->press('Lantern meadow chest')->press('Receive goods')->seeHeading('Receive goods into Lantern meadow chest');
        $visit->choose('Add an item that came', 'Foil blanket');
        $this->type($visit, 'Pieces: Foil blanket', '10')->type($visit, 'Lot: Foil blanket', 'F-77');
        $visit->settle()->chrome->network(true);
        $visit->press('Record receipt')->see('Saved on this device. It is sent as soon as the server answers.');
        $visit->see('Goods received into Lantern meadow chest')->chrome->network(false);
        $visit->seeHeading('Lantern meadow chest')->see('10 × Foil blanket, lot F-77: received');
        $this->assertLessThanOrEqual(390, $visit->chrome->driver->executeScript('return document.documentElement.scrollWidth'));
    }

    private function type(Visit $visit, string $label, string $text): self
    {
        $field = $visit->fieldThatBegins($label);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);

        return $this;
    }
}
