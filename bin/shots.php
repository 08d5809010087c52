<?php

declare(strict_types=1);

/* The pictures in docs/screenshots: at the desk at 1280x800, in hand at 390x844. */

use Facebook\WebDriver\Remote\RemoteWebElement;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Visit;

require __DIR__.'/../vendor/autoload.php';

$views = ($argv[2] ?? '') === 'nobody' ? [['desk', 'light', null, [['setup', '/', 'Set up your organisation']]]] : [
    // In hand first: at the desk a kit begins to be packed anew.
    ['hand', 'light', 'keeper', [['today-in-hand', '/', 'Do not use'], ['check-in-hand', '/kits/QH-05/check', 'Whole pocket as recorded'], ['use-in-hand', '/kits/QH-04/use', 'Press what was taken'], ['hand-back-in-hand', '/kits/QH-02/use?end=shift', 'Is it back?']]],
    ['desk', 'light', 'keeper', [
        ['today', '/', 'Horizon'], ['kit', '/kits/QH-07', 'Responsible:'], ['check', '/kits/QH-07/check', 'Whole pocket as recorded'],
        ['restock', '/kits/QH-05/restock', 'All of this pocket done'], ['build', '/kits/QH-16/build', 'Take everything out'], ['history', '/kits/QH-03/history', 'Equipped'],
    ]],
    ['desk', 'light', 'lead', [
        ['verdict', 'check of QH-10', 'Answer the report'], ['assess', '/assess/SITE', 'Whole site'], ['work', '/assess/SITE/work', 'Kits to make'], ['pack', '/designs/DESIGN/pack', 'What to leave out'], ['stock', '/stores/STORE', 'below the least'],
        ['confirm', '/lists/LIST(bs-8599-1/medium 2019)/confirm', 'lines compared'], ['rotation', '/rotation', 'would be used that expire unused'], ['carry', '/how-many?list=LIST(outdoor-week 1)', 'Chance that nothing runs short'],
    ]],
];
/** An address with the ids of the newest assessment, and of lists by their code and edition. */
function named(Visit $visit, string $path): string
{
    $ask = static fn (string $of): array => (array) $visit->chrome->driver->executeAsyncScript('const done = arguments[arguments.length - 1]; fetch(arguments[0]).then((answer) => answer.json()).then(done)', ["/api/{$of}"]);
    if (str_contains($path, 'SITE')) {
        $path = str_replace('SITE', $ask('assessments')[0]['id'], $path);
    }

    if (str_contains($path, 'DESIGN')) {
        $crew = array_values(array_filter($ask('designs'), static fn (array $design): bool => $design['code'] === 'tree-crew'));
        $path = str_replace('DESIGN', $crew[0]['id'], $path);
    }

    if (str_contains($path, 'STORE')) {
        $path = str_replace('STORE', $ask('stores')[1]['id'], $path);
    }

    return (string) preg_replace_callback('/LIST\(([^ ]+) ([^)]+)\)/', static function (array $found) use ($ask): string {
        foreach ($ask('choices/lists') as $list) {
            if ($list['code'] === $found[1] && $list['edition'] === $found[2]) {
                return $list['id'];
            }
        }
        throw new RuntimeException("There is no list {$found[1]}, edition {$found[2]}.");
    }, $path);
}

$folder = __DIR__.'/../var/shots/pictures';
foreach ($views as [$posture, $scheme, $who, $shots]) {
    $chrome = $posture === 'desk' ? new Chrome(1280, 800) : new Chrome(390, 844, touch: true);
    try {
        $chrome->scheme($scheme);
        $visit = new Visit($chrome, $argv[1]);
        if ($who !== null) {
            $visit->signIn($who);
        }
        foreach ($shots as [$name, $path, $shows]) {
            if (str_starts_with($path, 'check of ')) {
                $kit = substr($path, strlen('check of '));
                $visit->open("/kits/{$kit}/history")->see('Full check');
                $visit->click(static fn (): RemoteWebElement => $visit->find("//a[normalize-space()='Full check']"));
            } else {
                $visit->open(named($visit, $path));
            }
            if ($name === 'work') {
                $visit->press('Compare with existing kits');
            }
            $visit->see($shows);
            if ($name === 'work') {
                $visit->wait(static fn (): bool => $visit->button('Compare again')->isEnabled(), 'The comparison does not end.');
            }
            if ($name === 'use-in-hand') {
                $visit->click(static fn (): RemoteWebElement => $visit->find("//button[contains(., 'Resuscitation face shield')]"));
                $visit->see('Record 1 piece taken');
                $chrome->driver->executeScript('window.scrollTo(0, 560)');
            }
            if ($name === 'build') {
                $visit->press('Begin')->see('Count as it comes out.')->press('All as recorded')->see('Whole pocket as listed');
                $visit->click(static fn (): RemoteWebElement => $visit->find("//ol//button[contains(., 'Lid, Light')]"));
                $visit->see('Test the torch');
                $chrome->driver->executeScript('window.scrollTo(0, 0)');
            }
            $chrome->driver->executeAsyncScript('const done = arguments[arguments.length - 1]; document.fonts.ready.then(() => Promise.allSettled(document.getAnimations().map((one) => one.finished))).then(() => requestAnimationFrame(() => requestAnimationFrame(done)))');
            $chrome->driver->takeScreenshot("{$folder}/{$name}.png");
            echo "docs/screenshots/{$name}.png\n";
        }
    } finally {
        $chrome->quit();
    }
}
