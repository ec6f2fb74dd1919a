<?php

declare(strict_types=1);

return [
    // Who may open a studio here by herself: first (the first visitor alone), anyone, nobody.
    'open_studios' => env('CROWN_OPEN_STUDIOS', 'first'),
    // Hosts that are answered besides this machine's own and APP_URL's: loft.example,studio.example
    'hosts' => array_filter(explode(',', (string) env('CROWN_HOSTS', ''))),
    // Proxies of ours in front of it, whose word on where a request comes from is taken: 10.0.0.2,10.0.0.3
    'proxies' => array_filter(explode(',', (string) env('CROWN_PROXIES', ''))),
    // What may be done in the demo studio: all, or read where a second person may reach this machine.
    'demo_writes' => (bool) env('CROWN_DEMO_WRITES', true),
    // Days in which a studio that is being left can be kept after all.
    'leaving_days' => 30,
];
