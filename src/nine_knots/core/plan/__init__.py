"""Planning a day: what to fish on each stretch, so that little is tied and little is changed."""
