<?php

declare(strict_types=1);

// Nothing here is for other sites: no address answers to another origin.
return ['paths' => []];
