<?php

declare(strict_types=1);

namespace App\Exchange;

/** What files hold: each kind has a JSON format with a published schema, and CSV with headings. */
enum Kind: string
{
    case Catalogue = 'catalogue';
    case Lists = 'lists';
    case Designs = 'designs';
    case Kits = 'kits';

    public function format(): string
    {
        return "sarcina.{$this->value}/1";
    }

    /** The key under which the JSON format holds its records. */
    public function member(): string
    {
        return $this === self::Catalogue ? 'items' : $this->value;
    }

    /** @return class-string<Records> */
    public function records(): string
    {
        return match ($this) {
            self::Catalogue => CatalogueRecords::class,
            self::Lists => ListRecords::class,
            self::Designs => DesignRecords::class,
            self::Kits => KitRecords::class,
        };
    }

    public function sheet(): RecordSheet
    {
        return match ($this) {
            self::Catalogue => new CatalogueSheet,
            self::Lists => new ListSheet,
            self::Designs => new DesignSheet,
            self::Kits => new KitSheet,
        };
    }

    public function schema(): string
    {
        return public_path("schemas/sarcina.{$this->value}-1.json");
    }
}
