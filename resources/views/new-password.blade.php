{!! $person !!},

somebody asked for a new password for your studio. This link sets one, once, within the hour:

{!! $link !!}

Was it not you? Then do nothing: your password stays as it is.
