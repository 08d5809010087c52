<?php

declare(strict_types=1);

namespace App\Designs\Edition;

use App\Lists\LineContent;

/** All that one edition of a design says. */
final readonly class EditionContent
{
    /**
     * @param  string  $listId  the edition of the list that it keeps
     * @param  list<LineContent>  $additions
     * @param  list<string>  $modules  that its list and additions hold already
     * @param  list<string>  $seasons  days of the year on which its kits are checked, MM-DD
     * @param  list<CompartmentContent>  $leaves
     * @param  list<ConfigurationContent>  $configurations
     * @param  array<string, string>  $setAside  reasons by what advice is about
     */
    public function __construct(
        public string $listId,
        public EditionPolicy $policy,
        public array $additions,
        public array $modules,
        public array $seasons,
        public array $leaves,
        public array $configurations = [],
        public array $setAside = [],
    ) {
    }

    /** The same, held otherwise. */
    public function under(EditionPolicy $policy): self
    {
        return new self(
            $this->listId, $policy, $this->additions, $this->modules, $this->seasons, $this->leaves, $this->configurations,
            $this->setAside,
        );
    }

    /**
     * The same with another edition of its list: lines keep their compartments, those that the list no longer has go, new ones get one.
     *
     * @param  list<string>  $codes  of the lines of the other edition
     * @param  array<string, string>  $pockets  compartment ids by the code of a line that has none yet
     */
    public function keeping(string $listId, array $codes, array $pockets): self
    {
        $known = [...$codes, ...array_map(static fn (LineContent $line): string => $line->code, $this->additions)];

        return new self(
            $listId, $this->policy, $this->additions, $this->modules, $this->seasons, self::placed($this->leaves, $known, $pockets),
            array_map(static fn (ConfigurationContent $one): ConfigurationContent => new ConfigurationContent(
                $one->name, array_values(array_intersect($one->lines, $known)), $one->slots,
            ), $this->configurations),
            $this->setAside,
        );
    }

    /**
     * @param  list<CompartmentContent>  $compartments
     * @param  list<string>  $known
     * @param  array<string, string>  $pockets
     * @return list<CompartmentContent>
     */
    private static function placed(array $compartments, array $known, array $pockets): array
    {
        return array_map(static function (CompartmentContent $one) use ($known, $pockets): CompartmentContent {
            $lines = array_values(array_filter($one->lines, static fn (PlacedLine $line): bool => in_array($line->code, $known, true)));
            $new = array_map(
                static fn (string|int $code): PlacedLine => new PlacedLine((string) $code),
                array_keys(array_filter($pockets, static fn (string $pocket): bool => $pocket === $one->id)),
            );

            return $one->with([...$lines, ...$new], self::placed($one->inside, $known, $pockets));
        }, $compartments);
    }
}
