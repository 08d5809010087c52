<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

/** How somebody works at a page: by keyboard alone, or by finger. */
interface Hands
{
    public function visit(): Visit;

    /** Types over what the field holds that is called so. */
    public function fill(string $label, string $text): static;

    /** Presses the button or follows the link that is called so. */
    public function press(string $name): static;

    public function choose(string $label, string $option): static;
}
