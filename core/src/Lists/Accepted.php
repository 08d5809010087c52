<?php

declare(strict_types=1);

namespace Sarcina\Core\Lists;

use Sarcina\Core\Kit\Item;
use Sarcina\Core\Kit\ItemClass;
use Sarcina\Core\Measure\Quantity;

/** One entry of what a line accepts: an item, or a class with minimum and maximum measures. */
final readonly class Accepted
{
    private const TURNED = ['width' => 'height', 'height' => 'width'];

    /**
     * @param  array<string, Quantity>  $least  minimum by measure; with a class only
     * @param  array<string, Quantity>  $most  maximum by measure; with a class only
     */
    private function __construct(
        public ?string $item,
        public ?ItemClass $class,
        public array $least,
        public array $most = [],
    ) {
    }

    public static function item(string $code): self
    {
        return new self($code, null, []);
    }

    /**
     * @param  array<string, Quantity>  $least
     * @param  array<string, Quantity>  $most
     */
    public static function class(string $name, array $least = [], array $most = []): self
    {
        return new self(null, new ItemClass($name), $least, $most);
    }

    public function matches(Item $item): bool
    {
        if ($this->class === null) {
            return $this->item === $item->code;
        }

        return $this->class->takes($item->class)
            && ($this->isMetBy($item->size, []) || $this->isMetBy($item->size, self::TURNED));
    }

    /**
     * @param  array<string, Quantity>  $size
     * @param  array<string, string>  $turned  the measure to look at in place of the one named
     */
    private function isMetBy(array $size, array $turned): bool
    {
        foreach ($this->least as $measure => $least) {
            $there = $size[$turned[$measure] ?? $measure] ?? null;
            if ($there === null || ! $there->isAtLeast($least)) {
                return false;
            }
        }
        foreach ($this->most as $measure => $most) {
            $there = $size[$turned[$measure] ?? $measure] ?? null;
            if ($there === null || ! $there->isAtMost($most)) {
                return false;
            }
        }

        return true;
    }
}
