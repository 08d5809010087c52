<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Assert;

/** Does at a page what a person does who uses the keyboard alone, and says how long that takes. */
final class ByKeyboard implements Hands
{
    /** What has the focus, by what a person would call it. */
    private const NAME = <<<'JS'
        const one = document.activeElement;
        const said = one.getAttribute('aria-label') ?? one.labels?.[0]?.innerText ?? one.innerText ?? '';
        return [said.replace(/\s+/g, ' ').trim(), one.tagName, one.getAttribute('role') ?? ''];
        JS;

    /** About how many stops away it is; an estimate, what has the focus is looked at after it. */
    private const FAR = <<<'JS'
        const all = [...document.querySelectorAll('a[href], button, input, select, textarea, [tabindex="0"]')]
            .filter((one) => !one.disabled && one.tabIndex >= 0 && one.offsetParent !== null);
        const said = (one) => (one.getAttribute('aria-label') ?? one.labels?.[0]?.innerText ?? one.innerText ?? '').replace(/\s+/g, ' ').trim();
        const here = all.indexOf(document.activeElement);
        const there = all.findIndex((one, at) => at > here && (arguments[1] ? said(one) === arguments[0] : said(one).startsWith(arguments[0])));
        return there === -1 ? 1 : there - here;
        JS;

    private int $letters = 0;

    private int $keys = 0;

    public function __construct(public readonly Visit $visit)
    {
    }

    public function visit(): Visit
    {
        return $this->visit;
    }

    /** At three letters a second, and five presses of Tab or Enter. */
    public function seconds(): int
    {
        return intdiv($this->letters, 3) + intdiv($this->keys, 5);
    }

    public function fill(string $label, string $text): static
    {
        $this->tabTo($label, ['INPUT', 'TEXTAREA']);
        $this->send([WebDriverKeys::CONTROL, 'a']);
        $this->type($text);

        return $this;
    }

    public function press(string $name): static
    {
        $this->tabTo($name, ['BUTTON', 'A']);
        $this->key(WebDriverKeys::ENTER);

        return $this;
    }

    public function choose(string $label, string $option): static
    {
        [, $tag] = $this->tabTo($label, ['INPUT', 'SELECT']);
        if ($tag === 'SELECT') {
            // As at any list of the device: its letters lead to it.
            $this->type($option);
        } else {
            $this->send([WebDriverKeys::CONTROL, 'a']);
            $this->type($option);
            $first = "(//li[@role='option'])[1][starts-with(normalize-space(), \"{$option}\")]";
            $this->visit->wait(fn (): bool => $this->visit->all($first) !== [], "{$option} is not offered first.");
            $this->key(WebDriverKeys::ENTER);
            $this->visit->wait(fn (): bool => $this->visit->all('//li[@role="option"]') === [] || $this->isEmpty(), "{$option} cannot be chosen.");
        }

        return $this;
    }

    private function isEmpty(): bool
    {
        return $this->visit->chrome->driver->executeScript('return document.activeElement.value') === '';
    }

    /**
     * To whatever has the focus. What is just being drawn anew takes no key yet: a person presses it once it does.
     *
     * @param  string|list<string>  $keys
     */
    private function send(string|array $keys): void
    {
        $this->visit->wait(function () use ($keys): bool {
            try {
                $this->visit->chrome->driver->switchTo()->activeElement()->sendKeys($keys);

                return true;
            } catch (ElementNotInteractableException|StaleElementReferenceException) {
                return false;
            }
        }, 'Nothing takes a key.');
    }

    private function type(string $text): void
    {
        $this->letters += mb_strlen($text);
        $this->send($text);
    }

    private function key(string $key): void
    {
        $this->keys++;
        $this->send($key);
    }

    /**
     * @param  list<string>  $tags  what it may be
     * @return array{string, string, string} its name, tag and role
     */
    private function tabTo(string $name, array $tags, int $most = 400): array
    {
        $there = 'const names = [...document.querySelectorAll("a, button, input, select, textarea")].filter((one) => !one.disabled)'
            .'.map((one) => (one.getAttribute("aria-label") ?? one.labels?.[0]?.innerText ?? one.innerText ?? "").replace(/\s+/g, " ").trim());'
            .'return names.includes(arguments[0]) ? 2 : names.some((one) => one.startsWith(arguments[0])) ? 1 : 0';
        $this->visit->wait(fn (): bool => $this->visit->chrome->driver->executeScript($there, [$name]) > 0, "{$name} is not there.");
        // Where nothing is called exactly so, what begins so.
        $isExact = $this->visit->chrome->driver->executeScript($there, [$name]) === 2;
        for ($step = 0; $step < $most;) {
            /** @var array{string, string, string} $is */
            $is = $this->visit->chrome->driver->executeScript(self::NAME);
            if (($isExact ? $is[0] === $name : str_starts_with($is[0], $name)) && in_array($is[1], $tags, true)) {
                return $is;
            }
            // The key is held down as long as it is far away.
            $far = max(1, (int) $this->visit->chrome->driver->executeScript(self::FAR, [$name, $isExact]) - 4);
            $this->keys += $far;
            $step += $far;
            $this->send(str_repeat(WebDriverKeys::TAB, $far));
        }
        Assert::fail("The Tab key does not come to \"{$name}\" at {$this->visit->path()}.");
    }
}
