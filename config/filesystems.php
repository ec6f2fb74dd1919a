<?php

declare(strict_types=1);

// Pictures are sent by their own controller to whoever may see them; no folder is served as it lies.
return [
    'default' => 'local',
    'disks' => [
        'local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true],
    ],
    'links' => [],
];
