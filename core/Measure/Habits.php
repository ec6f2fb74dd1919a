<?php

declare(strict_types=1);

namespace Crown\Measure;

/**
 * What people of a country measure, write and pay with: where a studio begins, each to be changed. Source: common
 * knowledge of our own; a cup is what recipes of the country mean by one.
 */
final readonly class Habits
{
    private const CUPS = ['u' => CupSize::UsCustomary, 'm' => CupSize::Metric, 'i' => CupSize::Imperial];

    /** Cup, whether a comma stands before decimals, currency, and whose labels: by ISO 3166 code. */
    private const COUNTRIES = [
        'AT' => ['Austria', 'm', true, 'EUR', 'eu'],
        'AU' => ['Australia', 'm', false, 'AUD', 'other'],
        'BE' => ['Belgium', 'm', true, 'EUR', 'eu'],
        'BR' => ['Brazil', 'm', true, 'BRL', 'other'],
        'CA' => ['Canada', 'm', false, 'CAD', 'other'],
        'CH' => ['Switzerland', 'm', false, 'CHF', 'other'],
        'CM' => ['Cameroon', 'm', true, 'XAF', 'other'],
        'CZ' => ['Czechia', 'm', true, 'CZK', 'eu'],
        'DE' => ['Germany', 'm', true, 'EUR', 'eu'],
        'DK' => ['Denmark', 'm', true, 'DKK', 'eu'],
        'ES' => ['Spain', 'm', true, 'EUR', 'eu'],
        'FI' => ['Finland', 'm', true, 'EUR', 'eu'],
        'FR' => ['France', 'm', true, 'EUR', 'eu'],
        'GB' => ['United Kingdom', 'm', false, 'GBP', 'uk'],
        'GH' => ['Ghana', 'm', false, 'GHS', 'other'],
        'GR' => ['Greece', 'm', true, 'EUR', 'eu'],
        'IE' => ['Ireland', 'm', false, 'EUR', 'eu'],
        'IN' => ['India', 'm', false, 'INR', 'other'],
        'IT' => ['Italy', 'm', true, 'EUR', 'eu'],
        'JM' => ['Jamaica', 'u', false, 'JMD', 'other'],
        'KE' => ['Kenya', 'm', false, 'KES', 'other'],
        'MA' => ['Morocco', 'm', true, 'MAD', 'other'],
        'NG' => ['Nigeria', 'm', false, 'NGN', 'other'],
        'NL' => ['Netherlands', 'm', true, 'EUR', 'eu'],
        'NO' => ['Norway', 'm', true, 'NOK', 'other'],
        'NZ' => ['New Zealand', 'm', false, 'NZD', 'other'],
        'PL' => ['Poland', 'm', true, 'PLN', 'eu'],
        'PT' => ['Portugal', 'm', true, 'EUR', 'eu'],
        'RO' => ['Romania', 'm', true, 'RON', 'eu'],
        'SE' => ['Sweden', 'm', true, 'SEK', 'eu'],
        'SN' => ['Senegal', 'm', true, 'XOF', 'other'],
        'TT' => ['Trinidad and Tobago', 'u', false, 'TTD', 'other'],
        'UG' => ['Uganda', 'm', false, 'UGX', 'other'],
        'US' => ['United States', 'u', false, 'USD', 'us'],
        'ZA' => ['South Africa', 'm', false, 'ZAR', 'other'],
    ];

    /** Where dates are not written day first. */
    private const DATES = [
        'CA' => DateStyle::Numbers,
        'SE' => DateStyle::Numbers,
        'US' => DateStyle::MonthFirst,
        'ZA' => DateStyle::Numbers,
    ];

    /** @param  string  $region whose rules a label follows first: eu, uk, us or other */
    private function __construct(
        public string $country,
        public string $name,
        public CupSize $cup,
        public bool $decimalComma,
        public string $currency,
        public string $region,
        public DateStyle $dates,
    ) {
    }

    /** Those of a country; null for one that is not in the list. */
    public static function of(string $country): ?self
    {
        $row = self::COUNTRIES[$country] ?? null;

        return $row === null ? null : new self(
            $country,
            $row[0],
            self::CUPS[$row[1]],
            $row[2],
            $row[3],
            $row[4],
            self::DATES[$country] ?? DateStyle::DayFirst,
        );
    }

    /** @return list<self> by name */
    public static function all(): array
    {
        $all = array_values(array_filter(array_map(self::of(...), array_keys(self::COUNTRIES))));
        usort($all, static fn (self $a, self $b): int => $a->name <=> $b->name);

        return $all;
    }
}
