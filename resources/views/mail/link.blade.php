Good day {!! $name !!},

@if ($kind === 'invitation')
you are invited to the kits of {!! $organisation !!}. Open this link to choose a password; it works once, until {!! $until !!}:
@else
somebody asked to set a new password for your account at {!! $organisation !!}. Open this link to do it; it works once, until {!! $until !!}:
@endif

{!! $link !!}

@if ($kind === 'password')
If it was not you, nothing needs to be done: your password stays as it is.
@endif
