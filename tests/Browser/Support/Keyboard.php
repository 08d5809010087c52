<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\WebDriverKeys;

/** What a person does who uses the keyboard alone. */
trait Keyboard
{
    /** Everything in the pocket is as recorded: one key, which leads to the next. */
    private function wholePocket(Visit $visit): int
    {
        $before = $visit->focused();
        $visit->chrome->driver->switchTo()->activeElement()->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ENTER]);
        $visit->wait(fn (): bool => $visit->focused() !== $before && $visit->focused() !== '', 'The next pocket does not open.');

        return 1;
    }

    private function tabTo(Visit $visit, string $name, bool $begins = false, int $most = 90): void
    {
        $visit->wait(
            fn (): bool => str_contains(
                $visit->text().' '.implode(
                    ' ',
                    (array) $visit->chrome->driver->executeScript('return [...document.querySelectorAll("[aria-label]")].map((one) => one.getAttribute("aria-label"))'),
                ),
                $name,
            ),
            "{$name} is not there.",
        );
        for ($step = 0; $step < $most; $step++) {
            $focused = $visit->focused();
            if ($focused === $name || ($begins && str_starts_with($focused !== '' ? $focused : $this->label($visit), $name))) {
                return;
            }
            $visit->keys(WebDriverKeys::TAB);
        }
        $this->fail("The Tab key does not come to \"{$name}\".");
    }

    private function label(Visit $visit): string
    {
        return (string) $visit->chrome->driver->executeScript('return document.activeElement.labels?.[0]?.innerText ?? ""');
    }

    private function waitForFocus(Visit $visit, string $begins): void
    {
        $visit->wait(fn (): bool => str_starts_with($visit->focused(), $begins), "{$begins} is not in focus, but {$visit->focused()}.");
    }
}
