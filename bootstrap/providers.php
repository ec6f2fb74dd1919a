<?php

declare(strict_types=1);

return [App\CrownServiceProvider::class];
