<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Browser\Support\LooksForFaults;

/** axe-core finds nothing serious or critical on any screen in either theme, and no screen moves sideways. */
final class ReachTest extends BrowserTestCase
{
    use LooksForFaults;

    private const SCREENS = [
        '/' => 'Horizon', '/kits' => 'Walking order', '/kits/QH-11' => 'Action required', '/kits/QH-11/check' => 'Whole pocket as recorded', '/kits/QH-13/check' => 'Open it for a full check',
        '/kits/QH-11/restock' => 'All of this pocket done', '/kits/QH-11/build' => 'Take everything out', '/kits/QH-11/use' => 'Nothing yet.', '/use' => 'From which kit', '/kits/QH-03/history' => 'Equipped', '/check' => 'Due now', '/restock' => 'to restock', '/lists' => 'Starter list', '/items' => 'In store',
        '/items/new' => 'What it is', '/items/shears/edit' => 'Measures', '/classes' => 'includes the classes below it', '/kits/QH-09/coping' => 'What runs short first', '/emergencies' => 'Knock to the head', '/emergencies/small-burn/edit' => 'What one casualty takes', '/assess' => '▲ 1 too few', '/assess/choices' => 'Modules, one for each risk',
        '/assess/people' => 'Private.', '/settings' => 'Measures are stored as entered', '/exchange' => 'Export',
        '/places' => 'Add a place', '/stores' => 'Add a store', '/to-buy' => 'in whole packs', '/dates-ahead' => 'Expires in', '/start' => 'All steps are done', '/account' => 'Where you are signed in',
        '/settings/people' => 'What each role may do', '/settings/mail' => 'No messages', '/settings/policies' => 'In date for', '/start/reference' => 'Starter lists of workplaces', '/assess/shifts' => 'Change shifts', '/pick-list' => 'Take from', '/designs/new' => 'What its kits should contain', '/designs' => 'Change packing', '/kits/QH-16/configuration' => 'Modules to put in', '/?whose=mine' => 'Given to you',
        '/items/burn-dressing-20?lot=B2093' => 'looked for', '/kits/new' => 'What and where', '/more' => 'Signed in as', '/no/such/page' => 'There is no such page',
    ];

    /** @return iterable<string, array{string}> */
    public static function schemes(): iterable
    {
        yield 'light' => ['light'];
        yield 'dark' => ['dark'];
    }

    #[DataProvider('schemes')]
    public function test_every_screen(string $scheme): void
    {
        $visit = $this->atDesk();
        $visit->chrome->scheme($scheme);
        $visit->open('/')->see('Sign in');
        $faults = $this->faults($visit, 'sign in');
        $visit->signIn('lead');
        foreach ([...self::SCREENS, ...$this->named($visit)] as $path => $shows) {
            $visit->open($path)->see($shows);
            $this->assertSame($scheme, $visit->chrome->driver->executeScript('return document.documentElement.dataset.scheme'));
            array_push($faults, ...$this->faults($visit, $path));
        }
        $visit->open('/kits/QH-11/check')->see('Whole pocket as recorded');
        $visit->click(fn () => $visit->find("//button[starts-with(@aria-label, 'Condition of')]"));
        $visit->see('How many of');
        array_push($faults, ...$this->faults($visit, 'condition'));
        $visit->open('/assess/people')->press('Add a first aider')->see('New first aider');
        array_push($faults, ...$this->faults($visit, 'somebody new'));
        $this->assertSame([], $faults);
    }

    public function test_no_screen_moves_sideways_from_320_to_1920(): void
    {
        $visit = $this->atDesk()->signIn('lead');
        $moves = [];
        foreach ([...self::SCREENS, ...$this->named($visit)] as $path => $shows) {
            $visit->open($path)->see($shows);
            foreach ([1920, 1280, 768, 390, 320] as $width) {
                $visit->chrome->driver->executeCustomCommand(
                    '/session/:sessionId/chromium/send_command_and_get_result',
                    'POST',
                    [
                        'cmd' => 'Emulation.setDeviceMetricsOverride',
                        'params' => ['width' => $width, 'height' => 800, 'deviceScaleFactor' => 1, 'mobile' => false],
                    ],
                );
                $wide = $visit->chrome->driver->executeAsyncScript('const done = arguments[arguments.length - 1]; requestAnimationFrame(() => requestAnimationFrame(() => done(document.documentElement.scrollWidth)))');
                if ($wide > $width) {
                    $moves[] = "{$path} is {$wide} wide at {$width}";
                }
            }
        }
        $this->assertSame([], $moves);
    }

    /** @return array<string, string> screens of assessments and lists, whose addresses are ids */
    private function named(\Tests\Browser\Support\Visit $visit): array
    {
        $ask = static fn (string $path): array => (array) $visit->chrome->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch(arguments[0]).then((answer) => answer.json()).then(done)',
            ["/api/{$path}"],
        );
        $lists = $ask('choices/lists');
        $of = static fn (string $code, string $edition): string => (string) array_values(array_filter(
            $lists,
            static fn (array $list): bool => $list['code'] === $code && $list['edition'] === $edition,
        ))[0]['id'];
        $site = $ask('assessments')[0]['id'];
        $crews = $ask('choices/editions')[0]['id'];
        $crew = array_values(array_filter($ask('designs'), static fn (array $one): bool => $one['code'] === 'tree-crew'))[0]['id'];
        [$old, $new] = [$of('bleeding-set', '1'), $of('bleeding-set', '2')];

        return [
            "/designs/{$crew}/pack" => 'What to leave out',
            "/designs/beside?one={$crews}&other={$crews}" => 'the same in both',
            "/stores/{$ask('stores')[0]['id']}" => 'Expiry', "/stores/{$ask('stores')[0]['id']}/receive" => 'What came', "/stores/{$ask('stores')[0]['id']}/count" => 'On the shelf', "/assess/{$site}" => 'Whole site', "/assess/{$site}/print" => 'Justification', "/assess/{$site}/work" => 'Carry out', "/lists/{$old}" => 'line by line', "/lists/{$new}" => 'Used by', "/lists/{$new}/edit" => 'About this list',
            "/lists/{$new}/confirm" => 'lines compared', "/lists/{$new}/change" => 'Changes', "/compare?list={$new}&subject=kit:QH-16" => 'What is needed',
        ];
    }
}
