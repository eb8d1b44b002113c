<?php

declare(strict_types=1);

return [
    // Largest request body that is read, bytes.
    'largest_body' => 1_000_000,
    // Largest file that is read in, bytes.
    'largest_upload' => 24_000_000,
    // The storage disk that what people read in is kept on: one that every application server reaches.
    'files_disk' => env('FILES_DISK', 'local'),
    // Where drawings and models that were worked out are kept, by the hash of what they were worked out from.
    'derived_store' => env('DERIVED_STORE', 'derived'),
    // Changes with the code, so that nothing worked out by older code is served; ./isleward sets it.
    'build' => env('ISLEWARD_BUILD', 'development'),
    // Names it is served under besides that of APP_URL and this machine's own, parted by commas.
    'hosts' => array_filter(explode(',', strtolower((string) env('ISLEWARD_HOSTS', '')))),
    // Whether letters go out as real mail (MAIL_MAILER, MAIL_HOST …); else they are kept in the simulated outbox alone.
    'mail' => (bool) env('ISLEWARD_MAIL', false),
    // Adds what ./isleward bench measures against; never set where people work.
    'bench' => (bool) env('ISLEWARD_BENCH', false),
];
