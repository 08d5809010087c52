<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Database\Seeders\DemoSeeder;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Assert;

/** What a person does at the page, in their words. Everything waits for what should appear. */
final class Visit
{
    private const PATIENCE_SECONDS = 15;

    public function __construct(
        public readonly Chrome $chrome,
        private readonly string $url,
    ) {
    }

    public function open(string $path): self
    {
        $this->chrome->driver->get($this->url.$path);

        return $this;
    }

    public function signIn(string $who = 'keeper'): self
    {
        $this->open('/')->see('Sign in');
        $this->field('Email address')->sendKeys("{$who}@quillhaven.example");
        $this->field('Password')->sendKeys(DemoSeeder::PASSWORD)->sendKeys(WebDriverKeys::ENTER);

        return $this->seeHeading('Today');
    }

    /** Waits until the text stands on the page where it can be seen. */
    public function see(string $text): self
    {
        $this->wait(fn (): bool => str_contains($this->text(), self::squeeze($text)), "\"{$text}\" does not appear.");

        return $this;
    }

    public function dontSee(string $text): self
    {
        $this->wait(fn (): bool => ! str_contains($this->text(), self::squeeze($text)), "\"{$text}\" stays on the page.");

        return $this;
    }

    public function seeHeading(string $text): self
    {
        $this->find('//h1[normalize-space()='.self::quote($text).']');

        return $this;
    }

    /** A field by its label or accessible name. */
    public function field(string $label): RemoteWebElement
    {
        $quoted = self::quote($label);

        return $this->find("//input[@aria-label={$quoted} or @id=//label[starts-with(normalize-space(), {$quoted})]/@for] | //textarea[@id=//label[starts-with(normalize-space(), {$quoted})]/@for]");
    }

    public function fieldThatBegins(string $label): RemoteWebElement
    {
        return $this->find('//input[starts-with(@aria-label, '.self::quote($label).')]');
    }

    public function button(string $name): RemoteWebElement
    {
        $quoted = self::quote($name);

        return $this->find("//*[self::button or self::a or @role='button'][@aria-label={$quoted} or (not(@aria-label) and normalize-space()={$quoted})]");
    }

    public function press(string $name): self
    {
        $this->click(fn (): RemoteWebElement => $this->button($name));

        return $this;
    }

    /** Opens the menu of a kit's other actions and presses one of them. */
    public function pressMore(string $kit, string $action): self
    {
        $this->press("More actions for {$kit}");
        $this->click(fn (): RemoteWebElement => $this->find("//*[@role='menuitem'][normalize-space()=".self::quote($action).']'));

        return $this;
    }

    /** @param  callable(): RemoteWebElement  $find */
    public function click(callable $find): void
    {
        $this->wait(function () use ($find): bool {
            $element = $find();
            if (! $element->isEnabled()) {
                return false;
            }
            // What still grows or slides into its place would have another one under the pointer: a menu's next entry. So would a list that
            // does not show yet what was typed. What moved under the pointer all the same was not pressed.
            $isAtRest = $this->chrome->driver->executeScript(<<<'JS'
                arguments[0].scrollIntoView({ block: 'center', inline: 'center' });
                window.isMissed = false;
                window.addEventListener('click', ({ target }) => {
                    window.isMissed = ! arguments[0].contains(target) && arguments[0].closest('select') !== target;
                }, { capture: true, once: true });
                return document.querySelector('input[aria-busy=true]') === null
                    && ! document.getAnimations().some((one) => one.playState === 'running'
                        && one.effect?.getComputedTiming().endTime !== Infinity && one.effect?.target?.contains(arguments[0]));
                JS, [$element]);
            if ($isAtRest !== true) {
                return false;
            }
            $element->click();

            return $this->chrome->driver->executeScript('return window.isMissed === true') !== true;
        }, 'It cannot be pressed.');
    }

    /** Chooses from a list by what its entry begins with; where many are looked through by typing, types it. */
    public function choose(string $label, string $option): self
    {
        $field = $this->find('//*[self::input or self::select][@id=//label[normalize-space()='.self::quote($label).']/@for]');
        if ($field->getAttribute('role') === 'combobox') {
            $this->fill($label, $option);
            $isPressed = false;
            // What is offered comes while one types, and the page uses its entries again for others: found and pressed in one go.
            $this->wait(function () use ($label, $option, &$isPressed): bool {
                $isPressed = $isPressed || $this->chrome->driver->executeScript(
                    'const found = [...document.querySelectorAll("li[role=option]")]
                        .find((one) => one.textContent.replace(/\\s+/g, " ").trim().startsWith(arguments[0]));
                    found?.click();
                    return found !== undefined;', [$option],
                ) === true;
                if (! $isPressed) {
                    return false;
                }
                $value = (string) $this->field($label)->getAttribute('value');
                // A field for many choices stays open for the next one.
                if ($value === '' && $this->all('//li[@role="option"]') !== []) {
                    $this->field($label)->sendKeys(WebDriverKeys::ESCAPE);
                }

                // Where several are chosen, the field is empty again for the next.
                return ($value === '' || str_starts_with($value, $option)) && $this->all('//li[@role="option"]') === [];
            }, "{$option} cannot be chosen.");

            return $this;
        }
        $this->click(fn (): RemoteWebElement => $this->find('//select[@id=//label[normalize-space()='.self::quote($label).']/@for]/option[starts-with(normalize-space(), '.self::quote($option).')]'));

        return $this;
    }

    /** Waits until this device has written what was typed. */
    public function settle(): self
    {
        $this->wait(
            fn (): bool => $this->chrome->driver->executeScript('return !document.documentElement.hasAttribute("data-saving")') === true,
            'What was typed is not kept.',
        );

        return $this;
    }

    /** Waits until this device has a copy of what the server said of this address: at the first visit its worker has to be there first. */
    public function kept(string $address): self
    {
        $this->wait(
            fn (): bool => $this->chrome->driver->executeAsyncScript(
                'const done = arguments[arguments.length - 1]; caches.match(arguments[0]).then((copy) => done(copy !== undefined), () => done(false));',
                [$address],
            ) === true,
            "{$address} is not kept on this device.",
        );

        return $this;
    }

    /** Types over what a field holds. */
    public function fill(string $label, string $text): self
    {
        $field = $this->field($label);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);

        return $this;
    }

    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            $this->chrome->driver->switchTo()->activeElement()->sendKeys($key);
        }

        return $this;
    }

    public function find(string $xpath): RemoteWebElement
    {
        /** @var RemoteWebElement|null $found */
        $found = null;
        $this->wait(function () use ($xpath, &$found): bool {
            foreach ($this->all($xpath) as $element) {
                if ($element->isDisplayed() || $element->getAttribute('type') === 'checkbox') {
                    $found = $element;

                    return true;
                }
            }

            return false;
        }, "{$xpath} does not appear.");

        return $found ?? throw new \LogicException('The wait has seen to this.');
    }

    /** @return list<RemoteWebElement> */
    public function all(string $xpath): array
    {
        return array_values($this->chrome->driver->findElements(WebDriverBy::xpath($xpath)));
    }

    /** @param  callable(): bool  $until */
    public function wait(callable $until, string $otherwise, int $seconds = self::PATIENCE_SECONDS): void
    {
        $happened = true;
        try {
            $this->chrome->driver->wait($seconds, 40)->until(static function () use ($until): bool {
                try {
                    return $until();
                } catch (StaleElementReferenceException|ElementClickInterceptedException|ElementNotInteractableException) {
                    return false;
                }
            });
        } catch (TimeoutException) {
            $happened = false;
        }
        Assert::assertTrue($happened, $happened ? '' : $otherwise.' The page at '.$this->path().' says: '.mb_substr($this->textOrNothing(), 0, 3000));
    }

    public function path(): string
    {
        return (string) parse_url($this->chrome->driver->getCurrentURL(), PHP_URL_PATH);
    }

    public function focused(): string
    {
        $element = $this->chrome->driver->switchTo()->activeElement();

        return (string) ($element->getAttribute('aria-label') ?? $element->getText());
    }

    public function text(): string
    {
        return self::squeeze((string) $this->chrome->driver->executeScript('return document.body ? document.body.innerText : ""'));
    }

    private function textOrNothing(): string
    {
        try {
            return $this->text();
        } catch (\Throwable) {
            return '';
        }
    }

    private static function squeeze(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }

    private static function quote(string $text): string
    {
        return str_contains($text, "'") ? '"'.$text.'"' : "'".$text."'";
    }
}
