<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use Facebook\WebDriver\WebDriverKeys;

/** Does at a page what a person does with the device in hand. */
final class ByFinger implements Hands
{
    public function __construct(private readonly Visit $visit)
    {
    }

    public function visit(): Visit
    {
        return $this->visit;
    }

    public function fill(string $label, string $text): static
    {
        // A field has its label, or where it stands in a table a name of its own.
        $isLabelled = $this->visit->all("//label[starts-with(normalize-space(), \"{$label}\")]") !== [];
        $field = $isLabelled ? $this->visit->field($label) : $this->visit->fieldThatBegins($label);
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);

        return $this;
    }

    public function press(string $name): static
    {
        $this->visit->press($name);

        return $this;
    }

    public function choose(string $label, string $option): static
    {
        $this->visit->choose($label, $option);

        return $this;
    }
}
