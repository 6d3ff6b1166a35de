"""Starting everything: the private database server, the built interface, the service."""
