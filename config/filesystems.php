<?php

declare(strict_types=1);

// Nothing is kept in files and none are served: the framework's own disk routes are not wanted.
return ['default' => 'local', 'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true]]];
