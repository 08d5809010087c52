<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What a kit can deal with, and what that is counted by. */
final class CopingJourneyTest extends BrowserTestCase
{
    public function test_a_lead_looks_what_a_kit_can_deal_with_and_confirms_what_is_counted_with(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/kits/QH-01')->seeHeading('QH-01 Visitor desk box');
        $visit->pressMore('QH-01', 'What can it deal with?');
        $visit->seeHeading('What can QH-01 Visitor desk box deal with?')->see('How many casualties the supplies cover, one kind of emergency at a time.');
        $visit->see('It is no treatment advice')->see('unconfirmed for 19 of 19 kinds');
        $this->assertSame('at most 2 casualties at most 2 casualties Burn dressing or film', $this->row('Burn, small', $visit));
        $visit->see('16 kinds of emergency that this kit is not made for');
        $visit->choose('One kind', 'Burn, small')->choose('The other kind', 'Fracture')->see('Burn, small and Fracture: at most 1 casualty');

        // Their course says two dressings for each: it is counted anew, and unconfirmed until somebody confirms it.
        $visit->open('/emergencies')->press('Change Burn, small')->seeHeading('Change Burn, small');
        $field = $visit->find("//section[@aria-label='Burn dressing or film']//input[@inputmode='numeric']");
        $field->sendKeys([\Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('0');
        $visit->press('Save')->see('Enter how many pieces one casualty takes: 1 to 1000.');
        $field->sendKeys([\Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('2');
        $visit->press('Save')->seeHeading('Emergencies that supplies are counted for')->see('2 × Burn dressing or film');
        $visit->press('Confirm Burn, small')->see('Confirmed by Maren Oduya')->see('18 of 19 kinds are unconfirmed');
        $visit->open('/kits/QH-01/coping')->see('unconfirmed for 18 of 19 kinds');
        $this->assertSame('1 casualty 1 casualty Burn dressing or film', $this->row('Burn, small', $visit));
    }

    public function test_a_design_for_whoever_will_have_it(): void
    {
        $visit = $this->inHand()->signIn('member');
        $visit->open('/settings/policies');
        $visit->click(fn () => $visit->find("//a[@aria-label='What can it deal with? Glasshouse box']"));
        $visit->seeHeading('What can Glasshouse box deal with?')->see('9 casualties');
        $visit->choose('Who has it', 'clinicians')->dontSee('It asks for people with special training.');
    }

    private function row(string $kind, Support\Visit $visit): string
    {
        $cells = array_map(static fn ($cell): string => $cell->getText(), $visit->all("//tr[th[starts-with(normalize-space(), '{$kind}')]]/td"));

        return trim((string) preg_replace('/\s+/', ' ', implode(' ', $cells)));
    }
}
