<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Visit;
use Tests\Support\OnInstance;

/** Journeys that a person would make, at the real page in headless Chromium. */
abstract class BrowserTestCase extends TestCase
{
    /** @var list<Chrome> */
    private array $chromes = [];

    protected function atDesk(?string $url = null): Visit
    {
        return $this->visit(new Chrome(1280, 800), $url);
    }

    protected function inHand(?string $url = null): Visit
    {
        return $this->visit(new Chrome(390, 844, touch: true), $url);
    }

    protected function tearDown(): void
    {
        foreach ($this->chromes as $at => $chrome) {
            if (! $this->status()->isSuccess()) {
                @mkdir($folder = dirname(__DIR__, 2).'/var/failed', 0o755, true);
                $chrome->driver->takeScreenshot("{$folder}/{$this->name()}-{$at}.png");
            }
            $chrome->quit();
        }
        $this->chromes = [];
    }

    /** Runs functions of bin/lib/instance.sh on the instance under test. */
    protected function instance(string ...$functions): void
    {
        $this->on('test', ...$functions);
    }

    /** @return list<string> what they said */
    protected function on(string $instance, string ...$functions): array
    {
        [$exit, $said] = OnInstance::run($instance, ...$functions);
        $this->assertSame(0, $exit, implode("\n", $said));

        return $said;
    }

    /** What is left to count is as recorded, pocket by pocket; then signed. */
    protected function finishAll(Visit $visit): void
    {
        for ($pocket = 0; $pocket < 20 && ! $visit->button('Sign and finish')->isEnabled(); $pocket++) {
            $visit->press('Whole pocket as recorded');
        }
        $visit->press('Sign and finish');
    }

    private function visit(Chrome $chrome, ?string $url = null): Visit
    {
        $this->chromes[] = $chrome;

        return new Visit($chrome, $url ?? (string) getenv('SARCINA_TEST_URL'));
    }
}
