<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** One piece of advice, as facts: what it is about, and the figure that goes with it. */
final readonly class Hint
{
    /**
     * @param  string|null  $line  code of the line that it is about
     * @param  string|null  $item  code of the item that it is about
     * @param  list<string>  $others  codes of the other items that it names
     * @param  string|null  $compartment  id of the compartment that it is about
     * @param  int|null  $figure  closures, minutes or the like
     */
    public function __construct(
        public HintKind $kind,
        public ?string $line = null,
        public ?string $item = null,
        public array $others = [],
        public ?string $compartment = null,
        public ?int $figure = null,
    ) {
    }

    /** The same for the same advice, however it is packed otherwise: what is set aside is remembered by it. */
    public function subject(): string
    {
        return implode(' ', array_filter(
            [$this->kind->value, $this->line, $this->item, implode(',', $this->others), $this->compartment],
            static fn (?string $part): bool => $part !== null && $part !== '',
        ));
    }
}
