<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Tests\Browser\Support\Visit;

/** A status tells the truth: without a network, with a wrong seal, before the first check, and to whoever may only read. */
final class TruthfulStatusTest extends BrowserTestCase
{
    public function test_a_copy_read_offline_says_so(): void
    {
        $visit = $this->inHand()->signIn('keeper');
        $visit->open('/')->press('Take along')->see('copied to this device');
        $this->instance('stop_server');
        try {
            $visit->open('/kits/QH-09')->seeHeading("QH-09 Second climber's set")->see('Offline: as of');
            $visit->open('/')->see('Offline: as of')->see('Do not use');
            $visit->open('/kits')->see('Offline: as of');
            $visit->open('/kits/QH-99')->see('Not on this device');
        } finally {
            $this->instance('start_server');
        }
        $visit->open('/kits/QH-09')->seeHeading("QH-09 Second climber's set")->dontSee('Offline: as of');
    }

    public function test_a_wrong_seal_number_makes_the_kit_not_ready_until_the_right_one_is_read(): void
    {
        $keeper = $this->atDesk()->signIn('keeper');
        $keeper->open('/kits/QH-13')->see('Ready')->dontSee('Not ready');
        $keeper->open('/kits/QH-13/check')->press('Quick check')->seeHeading('Quick check of QH-13 Walk pouch A');
        $keeper->fill('Number on the seal', 'S-9999')->press('Sign and finish')->see('This is not the number on record');
        $lead = $this->atDesk()->signIn('lead');
        $lead->open('/kits/QH-13')->see('Not ready. Do not use this kit');
        $keeper->fill('Number on the seal', 'S-1003')->press('Sign and finish');
        $keeper->see('Seal S-1003 read.');
        $lead->open('/kits/QH-13')->see('Ready')->dontSee('Not ready');
        $lead->open('/kits/QH-13/history')->see('S-1003');
    }

    public function test_a_kit_that_nobody_checked_is_due_now_and_not_ready(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/kits/QH-G6')->see('Not checked yet. Nobody has checked this kit in full.')->dontSee('Ready. Everything');
        $visit->open('/')->see('Due now')->see('QH-G6');
    }

    public function test_a_restock_that_arrives_after_a_later_full_check_waits_for_somebody(): void
    {
        $keeper = $this->atDesk()->signIn('keeper');
        $this->putInWithoutNetwork($keeper);
        $lead = $this->atDesk()->signIn('lead');
        $lead->open('/kits/QH-03/check')->seeHeading('Check QH-03 Tropical house box');
        $this->finishAll($lead);
        $lead->seeHeading('Full check of QH-03 Tropical house box')->see('all as recorded');
        $keeper->press('Today')->chrome->network(false);
        $keeper->dontSee('Restock of QH-03');
        $lead->open('/kits/QH-03')->see('The kit was counted later, by Maren Oduya')->see('Say where these pieces are');
        $lead->press('Settle')->choose('Where are the pieces?', 'Back in the store')->fill('What you found and did', 'Still in the box')->press('Save');
        $lead->dontSee('Say where these pieces are');
    }

    public function test_pieces_for_a_kit_that_was_taken_out_of_service_meanwhile_wait_for_somebody(): void
    {
        $keeper = $this->atDesk()->signIn('keeper');
        $this->putInWithoutNetwork($keeper);
        $lead = $this->atDesk()->signIn('lead');
        $lead->open('/kits/QH-03')->press('Take out of service')->fill('Reason', 'Water got in')->choose('All pieces', 'To the store');
        $lead->click(fn (): RemoteWebElement => $lead->find("//*[@role='dialog']//button[normalize-space()='Take out of service']"));
        $lead->see('Taken out of service on')->open('/')->seeHeading('Today')->dontSee('QH-03');
        $keeper->press('Today')->chrome->network(false);
        $keeper->dontSee('Restock of QH-03');
        $lead->open('/kits/QH-03')->see('The kit was taken out of service by Maren Oduya')->see('Say where these pieces are');
    }

    public function test_where_nobody_posted_is_trained_a_first_aider_is_offered(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $visit->open('/kits/QH-09')->see('Post a first aider who is, or change the list.')->press('Post a first aider')->seeHeading('First aiders');
    }

    public function test_a_recalled_lot_counts_as_missing_until_a_lead_puts_it_back(): void
    {
        $keeper = $this->atDesk()->signIn('keeper');
        $keeper->open('/kits/QH-07')->seeHeading('QH-07 Tree crew bag')->dontSee('Head torch (lot C8199-A) is recalled');
        $keeper->press('Restock')->press('Potting shed cupboard')->press('More')->press('Set apart')->fill('Show only', 'C8199')->see('On the shelf: 1 lot');
        $keeper->fieldThatBegins('To set apart: Head torch')->sendKeys('5');
        $keeper->click(fn (): RemoteWebElement => $keeper->find("//label[contains(., 'These lots are recalled')]"));
        $keeper->fill('Why it is set apart', 'The switch may fail')->press('Set apart');
        $keeper->seeHeading('Potting shed cupboard')->open('/kits/QH-07')->see('Head torch (lot C8199-A) is recalled');
        $lead = $this->atDesk()->signIn('lead');
        $lead->press('Restock')->press('Potting shed cupboard')->press('More')->press('Put back into stock')->fill('Show only', 'C8199')->see('On the shelf: 1 lot');
        $lead->fieldThatBegins('To put back: Head torch')->sendKeys('5');
        $lead->fill('What was looked over', 'Not of the recalled batch')->press('Put back into stock')->seeHeading('Potting shed cupboard');
        $lead->open('/kits/QH-07')->seeHeading('QH-07 Tree crew bag')->dontSee('Head torch (lot C8199-A) is recalled');
    }

    public function test_a_check_left_without_an_entry_leaves_nothing(): void
    {
        $visit = $this->atDesk()->signIn('keeper');
        $visit->open('/kits/QH-11/check')->see('Whole pocket as recorded')->press('Today')->seeHeading('Today')->settle();
        $visit->open('/check')->seeHeading('Check')->dontSee('on this device');
        $member = $this->atDesk()->signIn('member');
        $member->open('/kits/QH-11')->see('QH-11')->open('/kits/QH-11/check')->see('Your role may not open this page');
    }

    /** Puts plasters into QH-03 while there is no network: other journeys may have restocked the kit before. */
    private function putInWithoutNetwork(Visit $keeper): void
    {
        $keeper->open('/kits/QH-03/restock')->seeHeading('Restock QH-03 Tropical house box')->press('Put in another item');
        $keeper->choose('Which item and lot', 'Washproof plaster, assorted')->press('Add step')->see('Washproof plaster, assorted')->settle();
        $keeper->chrome->network(true);
        $keeper->press('Save and update status')->see('Saved on this device. It is sent as soon as the server answers.');
    }
}
